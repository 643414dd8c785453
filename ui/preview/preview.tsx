import { t } from '../../core/translate/translate.ts';
import { freeHint } from '../../core/words/free-hint.ts';
import { countryOfPattern } from '../../core/place/region-phrase.ts';
import { entryPhrase } from '../../core/place/zone-index.ts';
import { lazy } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Choice, Quote } from '../../core/model/quote.ts';
import { locatedSentence } from '../../core/words/fault-sentence.ts';
import { moneyFigure } from '../../core/words/figure.ts';
import { Later } from '../parts/later.tsx';
import type { AskedQuote } from '../state/answers.ts';
import { selectBook, selectPreview, selectDisplayFormat, selectSplit } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';
import { usePlaceNames } from '../places/use-place-names.ts';
import { useStyles } from '../theme/styles.ts';
import { aside, note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { AnswersLine, PendingRows } from './carrier-lines.tsx';
import { ChoiceRow, LostRow } from './choice-row.tsx';
import { AllRight } from './expect-actions.tsx';
import { selectPreviewChanges } from './preview-changes.ts';
import { TestOrderHead } from './test-order-head.tsx';
import { WithheldList } from './withheld-list.tsx';

const styles = (inks: Inks) => ({
  rule: { borderBottomWidth: 2, borderBottomColor: inks.ink, marginTop: 8 },
  section: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    paddingTop: 12,
    paddingBottom: 6,
    borderBottomWidth: 1,
    borderBottomColor: inks.ink,
  } as const,
  note: note(inks),
  notice: { ...note(inks), paddingTop: 8 },
  fault: { ...aside, color: inks.rubric, paddingVertical: 12 },
  unseen: { position: 'absolute', width: 1, height: 1, overflow: 'hidden', opacity: 0 } as const,
});

/** The preview in one sentence, for those who hear it change. */
const spokenPreview = ({ choices, withheld }: Quote, decimals: number): string => {
  const offered = choices
    .map((choice) => `${choice.name} ${moneyFigure(choice.charge, decimals)}`)
    .join(', ');
  return t('{offered}. Not offered: {count}.', {
    offered: offered === '' ? t('Nothing is offered') : t('Offered: {offered}', { offered }),
    count: withheld.length,
  });
};

const Nothing = ({ quote }: { quote: Quote }) => {
  const style = useStyles(styles);
  return (
    <Text style={style.fault} role="alert">
      {quote.zone
        ? t('This customer is in {zone} and has no choice: the order cannot be placed.', {
            zone: quote.zone.name,
          })
        : t('This customer has no choice: the order cannot be placed.')}
    </Text>
  );
};

/** The customer's choices, grouped as the customer thinks of them. */
const GROUPS: readonly [kind: Choice['kind'], title: string][] = [
  ['shipping', t('Shipped')],
  ['delivery', t('Delivered')],
  ['pickup', t('Collected')],
  ['nothing-to-ship', t('Nothing travels')],
];

/** In how many parts the test order's basket could be had, where no one choice takes all of it. */
const InParts = () => {
  const style = useStyles(styles);
  const asked = useAppSelector(selectSplit);
  const { decimals } = useAppSelector(selectDisplayFormat);
  if (asked?.waits)
    return <Text style={style.note}>{t('Carriers are asked what it would cost in parts …')}</Text>;
  const split = asked?.split;
  if (!split) return null;
  const words = split.parts.map(({ request, choice }) =>
    t('{count, plural, one {# item} other {# items}} by {choice}, {amount}', {
      count: request.lines.reduce((sum, { quantity }) => sum + quantity, 0),
      choice: choice.name,
      amount: moneyFigure(choice.charge, decimals),
    }),
  );
  return (
    <Text style={style.note}>
      {t('In {count} parts the checkout offers it: {list}.', {
        count: split.parts.length,
        list: words.join('; '),
      })}
    </Text>
  );
};

const ParcelList = lazy(() => import('./parcel-list.tsx'));

/** The choices of a kind, with those that are waited for and those that an edit took away. */
const Group = ({ asked, kind, title }: { asked: AskedQuote; kind: Choice['kind']; title: string }) => {
  const { quote, pending } = asked;
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const book = useAppSelector(selectBook);
  const open = useAppSelector((state) => state.session.openChoices);
  const changes = useAppSelector(selectPreviewChanges);
  const names = usePlaceNames();
  const choices = quote.choices.filter((choice) => choice.kind === kind);
  const lost = changes.lost.filter((choice) => choice.kind === kind);
  const waiting = kind === 'shipping' ? pending : [];
  const isBare = choices.length + lost.length + waiting.length === 0;
  if (isBare && (kind !== 'shipping' || quote.choices[0]?.kind === 'nothing-to-ship')) return null;
  const listed = book.zones.find(({ id }) => id === quote.zone?.id)?.includes ?? [];
  const zone = quote.zone
    ? t('zone {zone}, {entry}', {
        zone: quote.zone.name,
        entry: entryPhrase(quote.zone, names, countryOfPattern(listed, quote.zone.because)),
      })
    : '';
  return (
    <View>
      <View style={style.section}>
        <Text style={style.note}>{title}</Text>
        <Text style={style.note}>{kind === 'shipping' ? zone : ''}</Text>
      </View>
      <View role="list" aria-label={title}>
        {choices.map((choice) => (
          <ChoiceRow
            key={choice.id}
            choice={choice}
            free={freeHint(choice, book, decimals)}
            decimals={decimals}
            before={changes.before.get(choice.id)}
            gained={changes.gained.has(choice.id)}
            open={open.includes(choice.id)}
          />
        ))}
        <PendingRows pending={waiting} />
        {lost.map((choice) => (
          <LostRow key={choice.id} choice={choice} decimals={decimals} />
        ))}
      </View>
    </View>
  );
};

const Choices = ({ asked }: { asked: AskedQuote }) => {
  const { quote, pending } = asked;
  const style = useStyles(styles);
  return (
    <View>
      {GROUPS.map(([kind, title]) => (
        <Group key={kind} asked={asked} kind={kind} title={title} />
      ))}
      {quote.choices.length === 0 && pending.length === 0 ? (
        <>
          <Nothing quote={quote} />
          <InParts />
        </>
      ) : null}
      {quote.notices.map((notice) => (
        <Text key={notice.code} style={style.notice}>
          {notice.text}
        </Text>
      ))}
      <WithheldList withheld={quote.withheld} alwaysOpen={quote.choices.length === 0} />
      <Later>
        <ParcelList parcels={quote.parcels} />
      </Later>
      <AnswersLine asked={asked} />
      <AllRight quote={quote} />
    </View>
  );
};

/** What the customer of the test order would see: each choice with its charge and working, and why others are not offered. */
export const Preview = () => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const preview = useAppSelector(selectPreview);
  return (
    <View testID="preview">
      <TestOrderHead />
      <View style={style.rule} />
      <View aria-live="polite" style={style.unseen}>
        <Text>{preview?.ok ? spokenPreview(preview.quote, decimals) : ''}</Text>
      </View>
      {preview?.ok ? <Choices asked={preview} /> : null}
      {preview && !preview.ok
        ? preview.faults.map((fault) => (
            <Text key={fault.path} style={style.fault} role="alert">
              {locatedSentence(fault)}
            </Text>
          ))
        : null}
    </View>
  );
};
