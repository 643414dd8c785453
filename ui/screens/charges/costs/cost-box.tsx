import { View } from 'react-native';
import Svg, { G, Line, Rect } from 'react-native-svg';
import type { Quartiles } from '../../../../core/costs/quantile.ts';
import { useInks } from '../../../theme/theme.ts';

/** How tall a box with its charge is, in pixels. */
export const BOX_TALL = 22;

interface Marks {
  costs: Quartiles;
  charge: number;
  /** Where an amount stands, in pixels. */
  x: (amount: number) => number;
  /** Where the top of it stands. */
  top?: number;
}

/**
 * Costs as a box from quarter to quarter with the middle one marked and a line to the ends, and the charge as a
 * heavy mark across it.
 */
export const CostMarks = ({ costs, charge, x, top = 0 }: Marks) => {
  const inks = useInks();
  const middle = top + BOX_TALL / 2;
  return (
    <G>
      <Line x1={x(costs.least)} x2={x(costs.most)} y1={middle} y2={middle} stroke={inks.control} />
      <Rect
        x={x(costs.lower)}
        y={top + 5}
        width={Math.max(x(costs.upper) - x(costs.lower), 1)}
        height={BOX_TALL - 10}
        fill={inks.raised}
        stroke={inks.ink}
      />
      <Line
        x1={x(costs.median)}
        x2={x(costs.median)}
        y1={top + 5}
        y2={top + BOX_TALL - 5}
        stroke={inks.ink}
      />
      <Line x1={x(charge)} x2={x(charge)} y1={top} y2={top + BOX_TALL} stroke={inks.rubric} strokeWidth={3} />
    </G>
  );
};

/** Where amounts stand between two edges, of which the right one is for `most`; what is more stands at it. */
export const scaleTo =
  (most: number, left: number, right: number) =>
  (amount: number): number =>
    left + Math.min(1, amount / Math.max(most, 1)) * (right - left);

/** The same, alone in a row. */
export const CostBox = ({
  most,
  width,
  ...marks
}: Pick<Marks, 'costs' | 'charge'> & {
  /** What the right edge stands for. */
  most: number;
  width: number;
}) => (
  <View aria-hidden style={{ height: BOX_TALL, width }}>
    <Svg width={width} height={BOX_TALL}>
      <CostMarks {...marks} x={scaleTo(most, 2, width - 2)} />
    </Svg>
  </View>
);
