import { lazy, memo } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import type { Choice } from '../../core/model/quote.ts';
import { moneyFigure } from '../../core/words/figure.ts';
import { slotsPhrase } from '../../core/words/slot-phrase.ts';
import { dateSpan } from '../parts/dates.ts';
import { Money } from '../parts/money.tsx';
import { Press } from '../parts/press.tsx';
import { Later } from '../parts/later.tsx';
import { choiceToggled } from '../state/session.ts';
import { useAppDispatch } from '../state/store.ts';
import { keptTogether } from '../theme/kept-together.ts';
import { useStyles } from '../theme/styles.ts';
import { figure, note } from '../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../theme/tokens.ts';
import { ExpectActions, StandingMark } from './expect-actions.tsx';
import { Working } from './working.tsx';

const ChoiceParcels = lazy(() => import('./choice-parcels.tsx'));

interface Props {
  choice: Choice;
  /** How much more in the basket makes it free, in words; '' where nothing does. */
  free: string;
  decimals: number;
  before: number | undefined;
  gained: boolean;
  open: boolean;
}

const styles = (inks: Inks) => ({
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: {
    flexDirection: 'row',
    gap: 12,
    paddingVertical: 8,
    minHeight: TOUCH,
    alignItems: 'flex-start',
  } as const,
  words: { flex: 1 },
  name: { fontSize: 15, lineHeight: 24 },
  gained: { fontFamily: SANS_STRONG },
  note: note(inks),
  struck: { ...figure, color: inks.quiet, textDecorationLine: 'line-through' } as const,
});

/** Who pays import charges, and how much where that is known. */
const dutyNotes = ({ duties }: Choice, decimals: number): string[] => {
  if (!duties) return [];
  const due = moneyFigure(duties.duty + duties.importTax + duties.clearance, decimals);
  if (duties.terms === 'DDP') return [t('DDP: import charges of {due} paid now', { due })];
  if (duties.show === 'amount') return [t('DAP: about {due} import charges on arrival', { due })];
  return duties.show === 'mention'
    ? [t('DAP: import charges on arrival')]
    : [t('DAP, not told: about {due} on arrival', { due })];
};

const notesOf = ({ choice, free, decimals }: Pick<Props, 'choice' | 'free' | 'decimals'>): string => {
  const { arrives, tax, taxIncluded, slots } = choice;
  const times = slotsPhrase(slots);
  const dates = !arrives
    ? []
    : ['words' in arrives ? arrives.words : dateSpan(arrives.earliest, arrives.latest)];
  const taxed =
    tax > 0
      ? [
          taxIncluded
            ? t('with {amount} tax', { amount: moneyFigure(tax, decimals) })
            : t('and {amount} tax', { amount: moneyFigure(tax, decimals) }),
        ]
      : [];
  return [
    ...dates,
    ...(times === '' ? [] : [times]),
    ...taxed,
    ...dutyNotes(choice, decimals),
    ...(free === '' ? [] : [free]),
  ].join(' · ');
};

const Row = (props: Props) => {
  const { choice, decimals, before, gained, open } = props;
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  return (
    <View style={style.item} role="listitem">
      <Press
        onPress={() => dispatch(choiceToggled(choice.id))}
        role="button"
        aria-expanded={open}
        aria-label={t('{choice}, {terms}{amount}{before}: how it adds up', {
          choice: choice.name,
          terms: choice.duties ? `${choice.duties.terms}, ` : '',
          amount: moneyFigure(choice.charge, decimals),
          before:
            before !== undefined && before !== choice.charge
              ? t(', was {amount}', { amount: moneyFigure(before, decimals) })
              : '',
        })}
      >
        <View style={style.row}>
          <View style={style.words}>
            <Text style={[style.name, gained ? style.gained : null]}>
              {choice.name}
              {gained ? <Text style={style.note}>{t(' now offered')}</Text> : null}
            </Text>
            <Text style={style.note}>{keptTogether(notesOf(props))}</Text>
            <StandingMark one={choice} />
          </View>
          <Money amount={choice.charge} decimals={decimals} before={before} />
        </View>
      </Press>
      {open ? (
        <>
          <Working lines={choice.working} decimals={decimals} />
          {choice.of.rateId === undefined ? null : (
            <Later>
              <ChoiceParcels rateId={choice.of.rateId} />
            </Later>
          )}
          <ExpectActions one={choice} />
        </>
      ) : null}
    </View>
  );
};

/** Whether a row would look the same: a quote gives new choices each time, mostly with the same figures. */
const looksSame = (a: Props, b: Props): boolean =>
  !a.open &&
  !b.open &&
  a.before === b.before &&
  a.gained === b.gained &&
  a.decimals === b.decimals &&
  a.choice.id === b.choice.id &&
  a.choice.name === b.choice.name &&
  a.choice.charge === b.choice.charge &&
  notesOf(a) === notesOf(b);

/** One choice of the customer's; pressed, it opens its working. */
export const ChoiceRow = memo(Row, looksSame);

/** A choice that a change took away, struck. */
export const LostRow = ({ choice, decimals }: Pick<Props, 'choice' | 'decimals'>) => {
  const style = useStyles(styles);
  return (
    <View
      style={[style.item, style.row]}
      role="listitem"
      aria-label={t('{choice} is no longer offered', { choice: choice.name })}
    >
      <View style={style.words}>
        <Text style={[style.name, { textDecorationLine: 'line-through' }]}>{choice.name}</Text>
        <Text style={style.note}>{t('no longer offered')}</Text>
      </View>
      <Text style={style.struck}>{moneyFigure(choice.charge, decimals)}</Text>
    </View>
  );
};
