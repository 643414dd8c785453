import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Line, QuoteRequest } from '../../../core/model/request.ts';
import { codeAnswer } from '../../../core/order/code-answer.ts';
import { sellsToPartOf } from '../../../core/place/zone-index.ts';
import { useCarriers } from '../../carriers/use-carriers.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { Chooser } from '../../parts/chooser.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { useToday } from '../../time/use-today.ts';
import { useWorldPlaces } from '../../places/places.ts';
import { located, useGazetteer } from '../../places/use-gazetteer.ts';
import { isWholeCode } from '../../places/whole-code.ts';
import { placeTyped, type CustomerPlace } from '../../state/customer-place.ts';
import { selectCustomerView, type CustomerView } from '../../state/customer-view.ts';
import { selectShopBook, selectShopCompiled } from '../../state/shop-language.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { countryOptions } from './country-options.ts';
import { shopStyles } from './shop-styles.ts';
import { shopperOf } from './shopper.ts';
import { momentNow } from '../../time/now.ts';

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  fields: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, maxWidth: 420 } as const,
  field: { flexGrow: 1, flexBasis: 150, flexDirection: 'row' } as const,
  code: { flexGrow: 1, flexBasis: 150 },
  answer: { ...shopStyles(inks).name, marginTop: 12 },
});

/** The request of some lines to a place that was typed; null until its code is a whole one and it is known where it lies. */
const useCheck = (lines: readonly Line[], { country, postalCode }: CustomerPlace): QuoteRequest | null => {
  const [now] = useState(momentNow);
  const customer = useAppSelector((state) => state.session.seenAs);
  const gazetteer = useGazetteer(country);
  return useMemo(() => {
    const code = postalCode.trim();
    if (country === '' || gazetteer === null || !isWholeCode(country)(code)) return null;
    return {
      destination: located({ country, postalCode: code }),
      lines: [...lines],
      placedAt: now,
      ...shopperOf(customer, ''),
    };
  }, [lines, country, gazetteer, postalCode, now, customer]);
};

const NO_QUESTIONS: CustomerView['questions'] = [];

/** Whether goods reach a postal code, by when and for how much, in the merchant's words or in ours. */
export const PostalCheck = ({ lines, title }: { lines: readonly Line[]; title: string }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const places = useWorldPlaces();
  const book = useAppSelector(selectShopBook);
  const compiled = useAppSelector(selectShopCompiled);
  const words = useCustomerWords();
  const { say } = words;
  const today = useToday(book.store.timeZone);
  const home = book.locations[0]?.address.country ?? '';
  const typed = useAppSelector((state) => state.customerPlace);
  const place = typed ?? { country: home, postalCode: '' };
  const request = useCheck(lines, place);
  const view = useAppSelector((state) => selectCustomerView(state, request));
  useCarriers(view?.questions ?? NO_QUESTIONS, compiled);
  const answerOf = ({ quote, parts }: CustomerView, asked: QuoteRequest): string =>
    parts
      ? say('parts.said', { count: parts.split.parts.length })
      : codeAnswer(compiled, asked, quote, today, words);
  return (
    <View role="group" aria-label={title}>
      <Text style={style.heading} role="heading" aria-level={2}>
        {title}
      </Text>
      <View style={style.fields}>
        <View style={style.field}>
          <Chooser
            label={say('address.country')}
            chosen={place.country === '' ? '' : words.country(place.country)}
            options={countryOptions(words, places?.countries ?? [], (one) =>
              sellsToPartOf(compiled.sellsTo, one),
            )}
            onChoose={(country) => dispatch(placeTyped({ ...place, country }))}
          />
        </View>
        <View style={style.code}>
          <TextLine
            label={say('product.code')}
            autoComplete="postal-code"
            value={place.postalCode}
            onChange={(postalCode) => dispatch(placeTyped({ ...place, postalCode }))}
          />
        </View>
      </View>
      <Text style={style.answer} aria-live="polite">
        {view && request ? answerOf(view, request) : say('product.code-whole')}
      </Text>
    </View>
  );
};
