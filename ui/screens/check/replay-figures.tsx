import { View } from 'react-native';
import { Text } from 'react-native-paper';
import Svg, { Rect } from 'react-native-svg';
import { t } from '../../../core/translate/translate.ts';
import type { Bucket, Replay } from '../../../core/replay/replay.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useInks } from '../../theme/theme.ts';
import { useStyles } from '../../theme/styles.ts';
import { note, smallFigure } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';

const WIDE = 160;
const TALL = 10;

const styles = (inks: Inks) => ({
  all: { paddingTop: 16 },
  title: { ...note(inks), paddingBottom: 4 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 26 } as const,
  name: { ...note(inks), width: 132 } as const,
  count: { ...smallFigure, color: inks.ink, minWidth: 44, textAlign: 'right' } as const,
  note: { ...note(inks), paddingVertical: 4 },
  action: { alignSelf: 'flex-start', marginLeft: -4 } as const,
});

/** A span of changes in few words: '+2.00 to +4.99', 'the same'. */
const bucketWords = ({ from, to }: Bucket, decimals: number): string => {
  const signed = (amount: number): string => `${amount > 0 ? '+' : ''}${moneyFigure(amount, decimals)}`;
  if (from === 0) return t('the same');
  if (to === null) return t('{amount} or more', { amount: signed(from ?? 0) });
  return from === null
    ? t('{amount} or less', { amount: signed(to - 1) })
    : t('{from} to {to}', { from: signed(from), to: signed(to - 1) });
};

/** What the orders would be charged in all, beside what they were. */
const sumsWords = ({ sums, orders }: Replay, isNewest: boolean, decimals: number): string => {
  const charges = { orders, now: moneyFigure(sums.now, decimals), was: moneyFigure(sums.was, decimals) };
  const words = isNewest
    ? t(
        'Of the newest {orders, plural, one {# past order} other {# past orders}} the charges come to {now} in place of {was}',
        charges,
      )
    : t(
        'Of {orders, plural, one {# past order} other {# past orders}} the charges come to {now} in place of {was}',
        charges,
      );
  if (sums.costed === 0) return `${words}.`;
  const cost = { amount: moneyFigure(sums.cost, decimals), costed: sums.costed };
  return `${words}; ${t('carriers took {amount} for {costed} of them', cost)}.`;
};

/** How many orders could not be bought as they were, or not at all. */
const goneWords = ({ gone, stranded }: Replay): string =>
  stranded === 0
    ? t('{gone, plural, one {# order} other {# orders}} would lose the choice that was taken.', { gone })
    : t(
        '{gone, plural, one {# order} other {# orders}} would lose the choice that was taken, {stranded} would have none at all.',
        { gone, stranded },
      );

/** By how much past orders would cost more or less, as bars, with the sums under them. */
export const ReplayFigures = ({
  replay,
  older,
  onAll,
}: {
  replay: Replay;
  /** How many older orders are left out; `onAll` prices them too. */
  older: number;
  onAll: () => void;
}) => {
  const style = useStyles(styles);
  const inks = useInks();
  const { decimals } = useAppSelector(selectDisplayFormat);
  const filled = replay.changes.filter(({ count }) => count > 0);
  const most = Math.max(1, ...filled.map(({ count }) => count));
  return (
    <View role="group" aria-label={t('Past orders')} style={style.all}>
      <Text style={style.title}>{t('Past orders, by how much their charge would change')}</Text>
      {filled.map((bucket) => (
        <View style={style.row} key={String(bucket.from)}>
          <Text style={style.name}>{bucketWords(bucket, decimals)}</Text>
          <Svg width={WIDE} height={TALL} aria-hidden>
            <Rect
              x={0}
              y={0}
              width={Math.max(2, (bucket.count / most) * WIDE)}
              height={TALL}
              fill={inks.ink}
            />
          </Svg>
          <Text style={style.count}>{bucket.count}</Text>
        </View>
      ))}
      <Text style={style.note}>{sumsWords(replay, older > 0, decimals)}</Text>
      {older > 0 ? (
        <TextAction
          style={style.action}
          label={t('Price all {count, plural, one {# order} other {# orders}}', {
            count: replay.orders + older,
          })}
          onPress={onAll}
        />
      ) : null}
      {replay.gone > 0 ? <Text style={[style.note, { color: inks.rubric }]}>{goneWords(replay)}</Text> : null}
    </View>
  );
};
