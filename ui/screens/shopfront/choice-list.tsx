import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import type { Book } from '../../../core/model/book.ts';
import type { Choice } from '../../../core/model/quote.ts';
import { freeHint } from '../../../core/words/free-hint.ts';
import { daysPhrase } from '../../../core/price/days-phrase.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { slotFigure } from '../../../core/words/slot-phrase.ts';
import { dateSpan } from '../../parts/dates.ts';
import { MarkedText } from '../../parts/marked-text.tsx';
import { Press } from '../../parts/press.tsx';
import type { CustomerView } from '../../state/customer-view.ts';
import { selectServedBook } from '../../state/served.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { shopStyles } from './shop-styles.ts';

interface Props {
  view: CustomerView;
  /** The choices of the view that are shown. */
  choices: readonly Choice[];
  /** Whether the customer wants to collect: then nothing else is told. */
  collects: boolean;
  decimals: number;
  chosen: string | null;
  onChoose: (id: string) => void;
  /** The days and times of the one chosen. */
  picker: ReactNode;
}

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  choice: {
    flexDirection: 'row',
    gap: 12,
    alignItems: 'center',
    borderWidth: 1,
    borderColor: inks.hairline,
    paddingHorizontal: 12,
    paddingVertical: 10,
    minHeight: 56,
    marginBottom: 8,
  } as const,
  here: { borderColor: inks.ink },
  words: { flex: 1 },
});

const GROUPS: readonly [kind: Choice['kind'], title: string][] = [
  ['shipping', 'Sent to you'],
  ['delivery', 'Brought to you'],
  ['pickup', 'Collected by you'],
  ['nothing-to-ship', 'Nothing to send'],
];

const notesOf = (choice: Choice, book: Book, decimals: number): string => {
  const { arrives, note, kind, slots } = choice;
  const days = daysPhrase(book, choice);
  const when = !arrives
    ? days === ''
      ? []
      : [days]
    : [`arrives ${'words' in arrives ? arrives.words : dateSpan(arrives.earliest, arrives.latest)}`];
  const free = freeHint(choice, book, decimals);
  const first = slots?.[0] ? [`from ${slotFigure(slots[0])}`] : [];
  return [
    ...(note && kind === 'shipping' ? [note] : []),
    ...when,
    ...first,
    ...(free === '' ? [] : [free]),
  ].join(' · ');
};

/** Who pays import charges and when, in the customer's words. */
const dutyWords = ({ duties }: Choice, decimals: number): string | null => {
  if (!duties) return null;
  const due = duties.duty + duties.importTax + duties.clearance;
  if (duties.terms === 'DDP')
    return due === 0
      ? 'No import charges fall due.'
      : `Import charges of ${moneyFigure(due, decimals)} are paid now, with the order. Nothing more is due on arrival.`;
  if (duties.show === 'nothing') return null;
  return duties.show === 'amount'
    ? `You pay import charges to the carrier on arrival, about ${moneyFigure(due, decimals)}.`
    : 'You may have to pay import charges to the carrier on arrival.';
};

/** What tells apart two choices of one name where both terms are offered. */
const TERMS = { DDP: ', import charges paid now', DAP: ', import charges on arrival' } as const;

/** What tells apart two choices of one name and charge. */
const termsWords = ({ duties, of }: Choice): string => {
  if (of.terms !== undefined || !duties || duties.show === 'nothing') return '';
  return duties.terms === 'DDP' ? ', import charges paid now' : ', import charges on arrival';
};

const Row = ({
  choice,
  decimals,
  on,
  onPress,
}: {
  choice: Choice;
  decimals: number;
  on: boolean;
  onPress: () => void;
}) => {
  const style = useStyles(styles);
  const book = useAppSelector(selectServedBook);
  const charge = choice.charge === 0 ? 'free' : moneyFigure(choice.charge, decimals);
  const duties = dutyWords(choice, decimals);
  const terms = choice.of.terms === undefined ? '' : TERMS[choice.of.terms];
  const name = choice.kind === 'nothing-to-ship' ? 'By email, at once' : `${choice.name}${terms}`;
  return (
    <Press
      role="radio"
      aria-checked={on}
      aria-label={`${name}, ${charge}${termsWords(choice)}`}
      onPress={onPress}
    >
      <View style={[style.choice, on ? style.here : null]}>
        <Icon source={on ? 'radiobox-marked' : 'radiobox-blank'} size={20} />
        <View style={style.words}>
          <Text style={style.name}>{name}</Text>
          <Text style={style.quiet}>{notesOf(choice, book, decimals)}</Text>
          {duties === null ? null : <Text style={style.name}>{duties}</Text>}
        </View>
        <Text style={style.figure}>{charge}</Text>
      </View>
    </Press>
  );
};

/** What belongs to the choice that is taken: its time, and what the customer has to know. */
const Chosen = ({ choice, picker }: { choice: Choice; picker: ReactNode }) => {
  const { note, kind, slots } = choice;
  return (
    <View>
      {slots ? picker : null}
      {note && kind !== 'shipping' ? (
        <View style={{ paddingBottom: 12 }}>
          <MarkedText text={note} />
        </View>
      ) : null}
    </View>
  );
};

/** The ways an order can get to the customer, by kind, and those of which they are told that they cannot be had. */
export const ChoiceList = ({ view, choices: all, collects, decimals, chosen, onChoose, picker }: Props) => {
  const style = useStyles(styles);
  return (
    <View>
      {GROUPS.map(([kind, title]) => {
        const choices = all.filter((choice) => choice.kind === kind);
        return choices.length === 0 ? null : (
          <View key={kind} role="radiogroup" aria-label={title}>
            <Text style={[style.quiet, { marginBottom: 6 }]}>{title}</Text>
            {choices.map((choice) => (
              <View key={choice.id}>
                <Row
                  choice={choice}
                  decimals={decimals}
                  on={choice.id === chosen}
                  onPress={() => onChoose(choice.id)}
                />
                {choice.id === chosen ? <Chosen choice={choice} picker={picker} /> : null}
              </View>
            ))}
          </View>
        );
      })}
      {(collects ? [] : view.asked.pending).map(({ rateId, name, account }) => (
        <Text key={rateId} style={[style.quiet, { marginBottom: 8 }]} aria-live="polite">
          {name}: {account} is asked what it costs …
        </Text>
      ))}
      {view.quote.notices.some(({ code }) => code === 'sandbox-rates') ? (
        <Text style={style.fault}>
          Some of these charges are a carrier’s sandbox prices, for trying out only.
        </Text>
      ) : null}
      {all.length === 0 || collects
        ? null
        : view.told.map(({ id, name, reason }) => (
            <Text key={id} style={[style.quiet, { marginTop: 4 }]}>
              {name} is not offered: {reason.why} {reason.help}
            </Text>
          ))}
    </View>
  );
};

/** Why the customer cannot order, in their words, and what would help. */
export const NothingOffered = ({ reasons, title }: { reasons: CustomerView['obstacles']; title: string }) => {
  const style = useStyles(styles);
  return (
    <View role="alert" style={{ gap: 8 }}>
      <Text style={style.strong}>{title}</Text>
      {reasons.map(({ why, help }) => (
        <View key={why}>
          <Text style={style.name}>{why}</Text>
          {help === '' ? null : <Text style={style.quiet}>{help}</Text>}
        </View>
      ))}
    </View>
  );
};
