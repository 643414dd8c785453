import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import type { Quartiles } from '../../../../core/costs/quantile.ts';
import { useInks } from '../../../theme/theme.ts';

const TALL = 22;

/**
 * Costs as a box from quarter to quarter with the middle one marked and a line to the ends, and the charge as a
 * heavy mark across it.
 */
export const CostBox = ({
  costs,
  charge,
  most,
  width,
}: {
  costs: Quartiles;
  charge: number;
  /** What the right edge stands for. */
  most: number;
  width: number;
}) => {
  const inks = useInks();
  const x = (amount: number): number => Math.min(1, amount / Math.max(most, 1)) * (width - 4) + 2;
  const middle = TALL / 2;
  return (
    <View aria-hidden style={{ height: TALL, width }}>
      <Svg width={width} height={TALL}>
        <Line x1={x(costs.least)} x2={x(costs.most)} y1={middle} y2={middle} stroke={inks.control} />
        <Rect
          x={x(costs.lower)}
          y={5}
          width={Math.max(x(costs.upper) - x(costs.lower), 1)}
          height={TALL - 10}
          fill={inks.raised}
          stroke={inks.ink}
        />
        <Line x1={x(costs.median)} x2={x(costs.median)} y1={5} y2={TALL - 5} stroke={inks.ink} />
        <Line x1={x(charge)} x2={x(charge)} y1={0} y2={TALL} stroke={inks.rubric} strokeWidth={3} />
      </Svg>
    </View>
  );
};
