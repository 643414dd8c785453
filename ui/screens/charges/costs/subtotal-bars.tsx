import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { Text } from 'react-native-paper';
import type { NearThreshold } from '../../../../core/costs/near-threshold.ts';
import { countFigure, moneyFigure } from '../../../../core/words/figure.ts';
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

/** How the subtotals of past orders lie around the figure from which delivery is free. */
export const SubtotalBars = ({ near, threshold }: { near: NearThreshold; threshold: number }) => {
  const style = useStyles(styles);
  const inks = useInks();
  const { decimals } = useAppSelector(selectDisplayFormat);
  const [width, setWidth] = useState(0);
  const { bins, reached, justShort, short, orders } = near;
  const most = Math.max(1, ...bins.map((bin) => bin.orders));
  const end = bins.at(-1)?.to ?? 1;
  const x = (amount: number): number => (amount / end) * width;
  const money = (amount: number): string => moneyFigure(amount, decimals);
  const label = { fontFamily: SANS, fontSize: 12, fill: inks.quiet } as const;
  const words = `Of ${countFigure(orders, 'order')}, ${reached} reach ${money(threshold)}, and ${justShort} stop short of it by no more than ${money(short)}.`;
  return (
    <View>
      <Text style={style.note}>{words} Each bar counts the orders by the sum of their products.</Text>
      <View
        role="img"
        aria-label={`${words} ${bins.map((bin) => `${money(bin.from)} to ${money(bin.to)}: ${bin.orders}`).join('; ')}`}
        nativeID={ID}
        style={{ height: HEIGHT }}
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      >
        {width > 0 ? (
          <Svg width={width} height={HEIGHT} aria-hidden>
            {bins.map((bin) => {
              const tall = (bin.orders / most) * (HEIGHT - FOOT - 14);
              return (
                <Rect
                  key={bin.from}
                  x={x(bin.from) + 1}
                  y={HEIGHT - FOOT - tall}
                  width={Math.max(x(bin.to) - x(bin.from) - 2, 1)}
                  height={tall}
                  fill={bin.from >= threshold ? 'none' : inks.ink}
                  stroke={inks.ink}
                />
              );
            })}
            <Line x1={0} x2={width} y1={HEIGHT - FOOT} y2={HEIGHT - FOOT} stroke={inks.ink} />
            <Line
              x1={x(threshold)}
              x2={x(threshold)}
              y1={0}
              y2={HEIGHT - FOOT}
              stroke={inks.ink}
              strokeDasharray="2 3"
            />
            <SvgText {...label} x={x(threshold) + 5} y={11}>
              free
            </SvgText>
            <SvgText {...label} x={0} y={HEIGHT - 5}>
              0
            </SvgText>
            <SvgText {...label} x={x(threshold)} y={HEIGHT - 5} textAnchor="middle">
              {money(threshold)}
            </SvgText>
            <SvgText {...label} x={width} y={HEIGHT - 5} textAnchor="end">
              {`${money(bins.at(-1)?.from ?? 0)} and more`}
            </SvgText>
          </Svg>
        ) : null}
      </View>
      <ChartSave id={ID} name="subtotals" />
    </View>
  );
};
