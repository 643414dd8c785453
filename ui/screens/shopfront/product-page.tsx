import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Good } from '../../../core/model/good.ts';
import type { QuoteRequest } from '../../../core/model/request.ts';
import { sellsToPartOf } from '../../../core/place/zone-index.ts';
import { codeAnswer } from '../../../core/order/code-answer.ts';
import { Chooser } from '../../parts/chooser.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { useToday } from '../../parts/use-today.ts';
import { useWorldPlaces } from '../../places/places.ts';
import { located, useGazetteer } from '../../places/use-gazetteer.ts';
import { isWholeCode } from '../../places/whole-code.ts';
import { added } from '../../state/basket.ts';
import { useCarriers } from '../../carriers/use-carriers.ts';
import { selectCustomerView, type CustomerView } from '../../state/customer-view.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { selectShopBook, selectShopCompiled, selectShopGoods } from '../../state/shop-language.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { ShopPage } from './shop-page.tsx';
import { countryOptions } from './country-options.ts';
import { shopStyles } from './shop-styles.ts';
import { shopperOf } from './shopper.ts';

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  fields: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, maxWidth: 420 } as const,
  field: { flexGrow: 1, flexBasis: 150, flexDirection: 'row' } as const,
  code: { flexGrow: 1, flexBasis: 150 },
  answer: { ...shopStyles(inks).name, marginTop: 12 },
  add: { alignSelf: 'flex-start', marginTop: 16 } as const,
});

/** The request of one of a good, to a code that was typed; null until it is a whole one and its place is known. */
const useCheck = (sku: string, country: string, code: string): QuoteRequest | null => {
  const [now] = useState(() => new Date().toISOString());
  const customer = useAppSelector((state) => state.session.seenAs);
  const gazetteer = useGazetteer(country);
  return useMemo(() => {
    const postalCode = code.trim();
    if (country === '' || gazetteer === null || !isWholeCode(country)(postalCode)) return null;
    return {
      destination: located({ country, postalCode }),
      lines: [{ sku, quantity: 1 }],
      placedAt: now,
      ...shopperOf(customer, ''),
    };
  }, [sku, country, gazetteer, code, now, customer]);
};

const NO_QUESTIONS: CustomerView['questions'] = [];

/** Whether the good reaches a postal code, by when and for how much, in the words that the merchant gave, or in ours. */
const PostalCheck = ({ good }: { good: Good }) => {
  const style = useStyles(styles);
  const places = useWorldPlaces();
  const book = useAppSelector(selectShopBook);
  const compiled = useAppSelector(selectShopCompiled);
  const words = useCustomerWords();
  const { say } = words;
  const today = useToday(book.store.timeZone);
  const [country, setCountry] = useState(book.locations[0]?.address.country ?? '');
  const [code, setCode] = useState('');
  const request = useCheck(good.sku, country, code);
  const view = useAppSelector((state) => selectCustomerView(state, request));
  useCarriers(view?.questions ?? NO_QUESTIONS, compiled);
  const title = book.store.codeCheck?.label ?? say('product.check');
  return (
    <View role="group" aria-label={title}>
      <Text style={style.heading} role="heading" aria-level={2}>
        {title}
      </Text>
      <View style={style.fields}>
        <View style={style.field}>
          <Chooser
            label={say('address.country')}
            chosen={country === '' ? '' : words.country(country)}
            options={countryOptions(words, places?.countries ?? [], (one) =>
              sellsToPartOf(compiled.sellsTo, one),
            )}
            onChoose={setCountry}
          />
        </View>
        <View style={style.code}>
          <TextLine label={say('product.code')} value={code} onChange={setCode} />
        </View>
      </View>
      <Text style={style.answer} aria-live="polite">
        {view && request
          ? codeAnswer(compiled, request, view.quote, today, words)
          : say('product.code-whole')}
      </Text>
    </View>
  );
};

const Facts = ({ good }: { good: Good }) => {
  const style = useStyles(styles);
  const { say, length, weight: weigh } = useCustomerWords();
  if (good.fulfilment === 'digital') return <Text style={style.quiet}>{say('product.comes-by-email')}</Text>;
  const { weight, size } = good;
  const sides = size && [size.length, size.width, size.height].map(length).join(' × ');
  const facts = [weight === undefined ? null : weigh(weight), sides].filter(Boolean);
  return facts.length > 0 ? <Text style={style.quiet}>{facts.join(' · ')}</Text> : null;
};

/** One good, with what it costs and whether it reaches the customer. */
export const ProductPage = () => {
  const style = useStyles(styles);
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { sku = '' } = useLocalSearchParams<{ sku?: string }>();
  const good = useAppSelector(selectShopGoods).get(sku);
  const { say, price } = useCustomerWords();
  const hasCheck = useAppSelector(selectShopBook).store.codeCheck?.active ?? true;
  if (!good) {
    return (
      <ShopPage title={say('product.gone-title')}>
        <Text style={style.quiet}>{say('product.gone')}</Text>
        <Button mode="contained" style={style.add} onPress={() => router.navigate('/shop')}>
          {say('product.back')}
        </Button>
      </ShopPage>
    );
  }
  return (
    <ShopPage title={good.name}>
      <Text style={style.strong}>{price(good.price)}</Text>
      <Facts good={good} />
      {good.fulfilment === 'physical' && hasCheck ? <PostalCheck good={good} /> : null}
      <Button
        mode="contained"
        style={style.add}
        onPress={() => {
          dispatch(added(good.sku));
          router.navigate('/shop/basket');
        }}
      >
        {say('product.add')}
      </Button>
    </ShopPage>
  );
};
