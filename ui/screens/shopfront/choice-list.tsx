import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import type { Book } from '../../../core/model/book.ts';
import type { Choice, Quote } from '../../../core/model/quote.ts';
import { obstacles, toldReason } from '../../../core/order/obstacles.ts';
import { daysOfChoice } from '../../../core/price/days-of-choice.ts';
import type { CustomerWords } from '../../../core/words/customer/customer-words.ts';
import type { MessageId } from '../../../core/words/customer/english.ts';
import { freeShort } from '../../../core/words/free-hint.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { MarkedText } from '../../parts/marked-text.tsx';
import { Press } from '../../parts/press.tsx';
import type { CustomerView } from '../../state/customer-view.ts';
import { selectShopBook } from '../../state/shop-language.ts';
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

const KINDS: readonly Choice['kind'][] = ['shipping', 'delivery', 'pickup', 'nothing-to-ship'];

const daysWords = (choice: Choice, book: Book, { say }: CustomerWords): string[] => {
  const days = daysOfChoice(book, choice);
  if (!days) return [];
  return [say(days.min === days.max ? 'choice.days' : 'choice.days-between', days)];
};

const freeWords = (choice: Choice, book: Book, { say, money }: CustomerWords): string[] => {
  const free = freeShort(choice, book);
  if (!free) return [];
  const amount = money(free.short);
  return [
    free.feesStay
      ? say('choice.spend-more-fees', { amount })
      : say('choice.spend-more', { amount, name: choice.name }),
  ];
};

/** The merchant's own words as they are; days with what happens on them. */
const whenWords = (
  arrives: NonNullable<Choice['arrives']>,
  kind: Choice['kind'],
  { say, span }: CustomerWords,
): string => {
  if ('words' in arrives) return arrives.words;
  const when = span(arrives.earliest, arrives.latest);
  return say(kind === 'pickup' ? 'choice.collect-when' : 'choice.arrives', { when });
};

const notesOf = (choice: Choice, book: Book, words: CustomerWords): string => {
  const { arrives, note, kind, slots } = choice;
  const { say } = words;
  const when = arrives && whenWords(arrives, kind, words);
  return [
    ...(note && kind === 'shipping' ? [note] : []),
    ...(when ? [when] : daysWords(choice, book, words)),
    ...(slots?.[0] ? [say('choice.from', { slot: words.slot(slots[0]) })] : []),
    ...freeWords(choice, book, words),
  ].join(' · ');
};

/** Who pays import charges and when, in the customer's words. */
const dutyWords = ({ duties }: Choice, { say, money }: CustomerWords): string | null => {
  if (!duties) return null;
  const due = duties.duty + duties.importTax + duties.clearance;
  const amount = money(due);
  if (duties.terms === 'DDP') return due === 0 ? say('duties.none') : say('duties.paid', { amount });
  if (duties.show === 'nothing') return null;
  return duties.show === 'amount' ? say('duties.about', { amount }) : say('duties.some');
};

const TERMS = { DDP: 'choice.duties-now', DAP: 'choice.duties-later' } as const;

/** What tells apart two choices of one name, seen where both terms are offered; else only for screen readers. */
const termsOf = ({ duties, of }: Choice): { id: MessageId; isSeen: boolean } | null => {
  if (of.terms !== undefined) return { id: TERMS[of.terms], isSeen: true };
  return duties && duties.show !== 'nothing' ? { id: TERMS[duties.terms], isSeen: false } : null;
};

const Row = ({ choice, on, onPress }: { choice: Choice; on: boolean; onPress: () => void }) => {
  const style = useStyles(styles);
  const book = useAppSelector(selectShopBook);
  const words = useCustomerWords();
  const { say } = words;
  const charge = choice.charge === 0 ? say('shop.free') : words.money(choice.charge);
  const duties = dutyWords(choice, words);
  const terms = termsOf(choice);
  const said = terms ? say(terms.id) : '';
  const own = choice.kind === 'nothing-to-ship' ? say('choice.by-email') : choice.name;
  const name = terms?.isSeen ? `${own}${said}` : own;
  return (
    <Press
      role="radio"
      aria-checked={on}
      aria-label={`${name}, ${charge}${terms?.isSeen ? '' : said}`}
      onPress={onPress}
    >
      <View style={[style.choice, on ? style.here : null]}>
        <Icon source={on ? 'radiobox-marked' : 'radiobox-blank'} size={20} />
        <View style={style.words}>
          <Text style={style.name}>{name}</Text>
          <Text style={style.quiet}>{notesOf(choice, book, words)}</Text>
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
export const ChoiceList = ({ view, choices: all, collects, chosen, onChoose, picker }: Props) => {
  const style = useStyles(styles);
  const words = useCustomerWords();
  const { say } = words;
  return (
    <View>
      {KINDS.map((kind) => {
        const title = say(`choice.${kind}`);
        const choices = all.filter((choice) => choice.kind === kind);
        return choices.length === 0 ? null : (
          <View key={kind} role="radiogroup" aria-label={title}>
            <Text style={[style.quiet, { marginBottom: 6 }]}>{title}</Text>
            {choices.map((choice) => (
              <View key={choice.id}>
                <Row choice={choice} on={choice.id === chosen} onPress={() => onChoose(choice.id)} />
                {choice.id === chosen ? <Chosen choice={choice} picker={picker} /> : null}
              </View>
            ))}
          </View>
        );
      })}
      {(collects ? [] : view.asked.pending).map(({ rateId, name, account }) => (
        <Text key={rateId} style={[style.quiet, { marginBottom: 8 }]} aria-live="polite">
          {say('checkout.asked', { name, account })}
        </Text>
      ))}
      {view.quote.notices.some(({ code }) => code === 'sandbox-rates') ? (
        <Text style={style.fault}>{say('checkout.sandbox')}</Text>
      ) : null}
      {all.length === 0 || collects
        ? null
        : view.told.map((withheld) => {
            const { why, help } = toldReason(withheld, words);
            return (
              <Text key={withheld.id} style={[style.quiet, { marginTop: 4 }]}>
                {say('checkout.not-offered', { name: withheld.name, why, help }).trim()}
              </Text>
            );
          })}
    </View>
  );
};

/** What is offered and withheld of collection alone, for someone who wants to collect. */
const collectedOnly = ({ choices, withheld }: Quote): Pick<Quote, 'choices' | 'withheld'> => {
  const isPickup = ({ kind }: { kind: string }): boolean => kind === 'pickup';
  return { choices: choices.filter(isPickup), withheld: withheld.filter(isPickup) };
};

/** Why the customer cannot order, in their words, and what would help. */
export const NothingOffered = ({
  view,
  collects,
  title,
}: Pick<Props, 'view' | 'collects'> & { title: string }) => {
  const style = useStyles(styles);
  const reasons = obstacles(collects ? collectedOnly(view.quote) : view.quote, useCustomerWords());
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
