import Svg, { Line, Rect } from 'react-native-svg';
import type { Span } from '../../core/formats/hours-typed.ts';
import { minutesOf } from '../../core/time/calendar.ts';
import { useInks } from '../theme/theme.ts';

const DAY = 24 * 60;
const HEIGHT = 14;
const MARKS = [6, 12, 18];

interface Props {
  spans: readonly Pick<Span, 'from' | 'to'>[];
  /** A time of the day that matters: when the last order of the day is taken. */
  cutoff?: string | undefined;
}

/** A day from midnight to midnight: open hours in ink, the cut-off as a line through them. */
export const DayStrip = ({ spans, cutoff }: Props) => {
  const inks = useInks();
  return (
    <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${DAY} ${HEIGHT}`} preserveAspectRatio="none" aria-hidden>
      <Rect x={0} y={6} width={DAY} height={2} fill={inks.hairline} />
      {MARKS.map((hour) => (
        <Rect key={hour} x={hour * 60 - 2} y={3} width={4} height={8} fill={inks.hairline} />
      ))}
      {spans.map(({ from, to }) => (
        <Rect
          key={from}
          x={minutesOf(from)}
          y={2}
          width={minutesOf(to) - minutesOf(from)}
          height={10}
          fill={inks.quiet}
        />
      ))}
      {cutoff === undefined || spans.length === 0 ? null : (
        <Line
          x1={minutesOf(cutoff)}
          x2={minutesOf(cutoff)}
          y1={0}
          y2={HEIGHT}
          stroke={inks.raised}
          strokeWidth={12}
        />
      )}
    </Svg>
  );
};
