import { G, Line, Text as SvgText } from 'react-native-svg';
import { useInks } from '../theme/theme.ts';
import { SANS } from '../theme/tokens.ts';
import type { CurveFrame } from './curve-frame.ts';

interface Props {
  frame: CurveFrame;
  /** How a figure along the chart, and an amount up its side, is written. */
  across: (value: number) => string;
  upward: (amount: number) => string;
}

/** Whole amounts without their cents, for the edges of a chart. */
export const withoutCents = (text: string): string => text.replace(/[.,]00$/, '');

/** The edges of a chart: amounts up the side with dotted lines, nothing (0) as a line, and what it is drawn along. */
export const ChartAxes = ({ frame, across, upward }: Props) => {
  const inks = useInks();
  const label = { fontFamily: SANS, fontSize: 12, fill: inks.quiet } as const;
  const zero = frame.y(0);
  return (
    <G>
      {frame.amounts.map(({ value, y }) => (
        <G key={value}>
          {value === 0 ? null : (
            <Line
              x1={frame.left}
              x2={frame.right}
              y1={y}
              y2={y}
              stroke={inks.hairline}
              strokeDasharray="1 4"
            />
          )}
          <SvgText {...label} x={frame.left - 8} y={y + 4} textAnchor="end">
            {upward(value)}
          </SvgText>
        </G>
      ))}
      <Line x1={frame.left} x2={frame.left} y1={frame.top} y2={frame.bottom} stroke={inks.ink} />
      <Line x1={frame.left} x2={frame.right} y1={zero} y2={zero} stroke={inks.ink} />
      {frame.values.map(({ value, x }) => (
        <SvgText
          {...label}
          key={value}
          x={x}
          y={frame.bottom + 18}
          textAnchor={x > frame.right - 20 ? 'end' : 'middle'}
        >
          {across(value)}
        </SvgText>
      ))}
    </G>
  );
};
