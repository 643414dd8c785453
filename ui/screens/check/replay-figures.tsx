import { View } from 'react-native';
import { Text } from 'react-native-paper';
import Svg, { Rect } from 'react-native-svg';
import type { Bucket, Replay } from '../../../core/replay/replay.ts';
import { countFigure, moneyFigure } from '../../../core/words/figure.ts';
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
  if (from === 0) return 'the same';
  if (to === null) return `${signed(from ?? 0)} or more`;
  return from === null ? `${signed(to - 1)} or less` : `${signed(from)} to ${signed(to - 1)}`;
};

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
  const money = (amount: number): string => moneyFigure(amount, decimals);
  const filled = replay.changes.filter(({ count }) => count > 0);
  const most = Math.max(1, ...filled.map(({ count }) => count));
  const { sums } = replay;
  return (
    <View role="group" aria-label="Past orders" style={style.all}>
      <Text style={style.title}>Past orders, by how much their charge would change</Text>
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
      <Text style={style.note}>
        Of {older > 0 ? 'the newest ' : ''}
        {countFigure(replay.orders, 'past order')} the charges come to {money(sums.now)} in place of{' '}
        {money(sums.was)}
        {sums.costed > 0 ? `; carriers took ${money(sums.cost)} for ${sums.costed} of them` : ''}.
      </Text>
      {older > 0 ? (
        <TextAction
          style={style.action}
          label={`Price all ${countFigure(replay.orders + older, 'order')}`}
          onPress={onAll}
        />
      ) : null}
      {replay.gone > 0 ? (
        <Text style={[style.note, { color: inks.rubric }]}>
          {countFigure(replay.gone, 'order')} would lose the choice that was taken
          {replay.stranded > 0 ? `, ${replay.stranded} would have none at all` : ''}.
        </Text>
      ) : null}
    </View>
  );
};
