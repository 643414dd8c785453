import { View } from 'react-native';
import { Line, Rect, Text as SvgText } from 'react-native-svg';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { NearThreshold } from '../../../../core/costs/near-threshold.ts';
import { moneyFigure } from '../../../../core/words/figure.ts';
import { Chart } from '../../../parts/chart.tsx';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { useInks } from '../../../theme/theme.ts';
import { note } from '../../../theme/text.ts';
import { SANS, type Inks } from '../../../theme/tokens.ts';
import { ChartSave } from './chart-save.tsx';

const HEIGHT = 120;
const FOOT = 20;
const ID = 'subtotals-chart';

const styles = (inks: Inks) => ({ note: { ...note(inks), paddingVertical: 6 } });

interface Props {
  near: NearThreshold;
  threshold: number;
}

/** The bars, each as tall as it has orders; those that reach the threshold are hollow. */
const Bars = ({ near: { bins }, threshold, width }: Props & { width: number }) => {
  const inks = useInks();
  const { decimals } = useAppSelector(selectDisplayFormat);
  const most = Math.max(1, ...bins.map(({ orders }) => orders));
  const end = bins.at(-1)?.to ?? 1;
  const x = (amount: number): number => (amount / end) * width;
  const money = (amount: number): string => moneyFigure(amount, decimals);
  const label = { fontFamily: SANS, fontSize: 12, fill: inks.quiet } as const;
  const ground = HEIGHT - FOOT;
  return (
    <>
      {bins.map((bin) => {
        const tall = (bin.orders / most) * (ground - 14);
        return (
          <Rect
            key={bin.from}
            x={x(bin.from) + 1}
            y={ground - tall}
            width={Math.max(x(bin.to) - x(bin.from) - 2, 1)}
            height={tall}
            fill={bin.from >= threshold ? 'none' : inks.ink}
            stroke={inks.ink}
          />
        );
      })}
      <Line x1={0} x2={width} y1={ground} y2={ground} stroke={inks.ink} />
      <Line x1={x(threshold)} x2={x(threshold)} y1={0} y2={ground} stroke={inks.ink} strokeDasharray="2 3" />
      <SvgText {...label} x={x(threshold) + 5} y={11}>
        {t('free')}
      </SvgText>
      <SvgText {...label} x={0} y={HEIGHT - 5}>
        0
      </SvgText>
      <SvgText {...label} x={x(threshold)} y={HEIGHT - 5} textAnchor="middle">
        {money(threshold)}
      </SvgText>
      <SvgText {...label} x={width} y={HEIGHT - 5} textAnchor="end">
        {t('{amount} and more', { amount: money(bins.at(-1)?.from ?? 0) })}
      </SvgText>
    </>
  );
};

/** How the subtotals of past orders lie around the figure from which delivery is free. */
export const SubtotalBars = ({ near, threshold }: Props) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const { bins, reached, justShort, short, orders } = near;
  const money = (amount: number): string => moneyFigure(amount, decimals);
  const words = t(
    'Of {orders, plural, one {# order} other {# orders}}, {reached} reach {amount}, and {justShort} stop short of it by no more than {amount2}.',
    { orders, reached, amount: money(threshold), justShort, amount2: money(short) },
  );
  const each = bins
    .map((bin) =>
      t('{amount} to {amount2}: {orders}', {
        amount: money(bin.from),
        amount2: money(bin.to),
        orders: bin.orders,
      }),
    )
    .join('; ');
  return (
    <View>
      <Text style={style.note}>
        {t('{words} Each bar counts the orders by the sum of their products.', { words })}
      </Text>
      <Chart id={ID} spoken={`${words} ${each}`} height={HEIGHT}>
        {(width) => <Bars near={near} threshold={threshold} width={width} />}
      </Chart>
      <ChartSave id={ID} name="subtotals" />
    </View>
  );
};
