import { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { Chart } from '../../../parts/chart.tsx';
import { ChartAxes } from '../../../parts/chart-axes.tsx';
import type { CurveFrame } from '../../../parts/curve-frame.ts';
import { useInks } from '../../../theme/theme.ts';
import { SERIF_ITALIC } from '../../../theme/tokens.ts';
import { lineFrame, linePath, type LinePoint } from './line-frame.ts';

/** A place on the line that is pointed out. */
export interface ChartMark {
  at: number;
  text: string;
  /** Drawn through, not dashed: where the lever stands now. */
  strong?: boolean;
}

interface Props {
  id: string;
  points: readonly LinePoint[];
  marks: readonly ChartMark[];
  /** How a figure along the line, and one up the side, is written. */
  across: (value: number) => string;
  upward: (value: number) => string;
  /** In words, what the picture shows. */
  spoken: string;
}

const HEIGHT = 250;
/** Each mark begins under the words of those before it, so that none runs through them. */
const ROW = 16;
/** What a mark's words take to its right. */
const MARK_ROOM = 120;

const Mark = ({ frame, mark, row }: { frame: CurveFrame; mark: ChartMark; row: number }) => {
  const inks = useInks();
  const x = frame.x(mark.at);
  const onRight = x < frame.right - MARK_ROOM;
  return (
    <G>
      <Line
        x1={x}
        x2={x}
        y1={frame.top + row * ROW}
        y2={frame.bottom}
        stroke={inks.ink}
        strokeWidth={mark.strong ? 1.5 : 1}
        strokeDasharray={mark.strong ? undefined : '2 3'}
      />
      <SvgText
        x={onRight ? x + 6 : x - 6}
        y={frame.top + 10 + row * ROW}
        textAnchor={onRight ? 'start' : 'end'}
        fontFamily={SERIF_ITALIC}
        fontSize={14}
        fill={inks.ink}
      >
        {mark.text}
      </SvgText>
    </G>
  );
};

/** The margin along a lever's values, above and below nothing, with the places that matter pointed out. */
export const LeverChart = ({ id, points, marks, across, upward, spoken }: Props) => {
  const inks = useInks();
  return (
    <Chart id={id} spoken={spoken} height={HEIGHT}>
      {(width) => {
        const frame = lineFrame(points, width, HEIGHT);
        return frame ? (
          <>
            <ChartAxes frame={frame} across={across} upward={upward} />
            <Path d={linePath(frame, points)} stroke={inks.ink} strokeWidth={2} fill="none" />
            {[...marks]
              .sort((a, b) => a.at - b.at)
              .map((mark, row) => (
                <Mark key={mark.text} frame={frame} mark={mark} row={row} />
              ))}
            {marks.map((mark) => {
              const point = points.find(({ at }) => at === mark.at);
              return point ? (
                <Circle
                  key={mark.text}
                  cx={frame.x(point.at)}
                  cy={frame.y(point.amount)}
                  r={4}
                  fill={mark.strong ? inks.ink : inks.ground}
                  stroke={inks.ink}
                />
              ) : null;
            })}
          </>
        ) : null;
      }}
    </Chart>
  );
};
