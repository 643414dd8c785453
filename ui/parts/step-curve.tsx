import { memo } from 'react';
import { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { t } from '../../core/translate/translate.ts';
import type { Curve } from '../../core/price/curve.ts';
import { measureFigure, moneyFigure, type DisplayFormat } from '../../core/words/figure.ts';
import { useInks } from '../theme/theme.ts';
import { SANS, SERIF_ITALIC } from '../theme/tokens.ts';
import { Chart } from './chart.tsx';
import { ChartAxes, withoutCents } from './chart-axes.tsx';
import { costPath, curveFrame, curvePath, fallPath, type CurveFrame } from './curve-frame.ts';

interface Props {
  curve: Curve;
  display: DisplayFormat;
  /** Where the test order stands on the measure, and what it is called. */
  mark: { at: number; text: string } | null;
  title: string;
  /** What it costs the merchant, as a second, thin line. */
  costs?: readonly { at: number; amount: number }[];
}

const HEIGHT = 200;

/** What a problem about it says as well: the larger order costs less. */
const fallWords = ({ at, by }: Curve['falls'][number], { basis }: Curve, display: DisplayFormat): string =>
  t('{amount} less from {figure}', {
    amount: moneyFigure(by, display.decimals),
    figure: measureFigure(basis, at, display),
  });

/** In words, what the picture shows, for those who do not see it. */
const spoken = ({ curve, display, title, costs }: Props): string => {
  const dots = curve.dots.map(({ at, amount }) =>
    t('from {figure} {amount}', {
      figure: measureFigure(curve.basis, at, display),
      amount: moneyFigure(amount, display.decimals),
    }),
  );
  const falls = curve.falls.map((fall) => fallWords(fall, curve, display));
  const taken = (costs ?? []).map(({ at, amount }) =>
    t('the carrier takes {amount} at {figure}', {
      amount: moneyFigure(amount, display.decimals),
      figure: measureFigure(curve.basis, at, display),
    }),
  );
  return [title, ...dots, ...falls, ...taken].join('; ');
};

const Falls = ({ frame, curve, display }: { frame: CurveFrame; curve: Curve; display: DisplayFormat }) => {
  const inks = useInks();
  return (
    <G>
      {curve.falls.map((fall) => {
        const x = frame.x(fall.at);
        const onRight = x < (frame.left + frame.right) / 2;
        return (
          <G key={fall.at}>
            <Path d={fallPath(frame, curve, fall.step)} stroke={inks.rubric} strokeWidth={2} fill="none" />
            <Circle cx={x} cy={frame.y(curve.dots[fall.step]?.amount ?? 0)} r={4} fill={inks.rubric} />
            <SvgText
              x={onRight ? x + 6 : x - 6}
              y={Math.min(frame.y(curve.dots[fall.step]?.amount ?? 0) + 20, frame.bottom - 6)}
              textAnchor={onRight ? 'start' : 'end'}
              fontFamily={SERIF_ITALIC}
              fontSize={14}
              fill={inks.rubric}
              // Over the line of the test order, which may run through it.
              stroke={inks.raised}
              strokeWidth={4}
              strokeLinejoin="round"
              {...({ paintOrder: 'stroke' } as object)}
            >
              {fallWords(fall, curve, display)}
            </SvgText>
          </G>
        );
      })}
    </G>
  );
};

const Mark = ({ frame, mark }: { frame: CurveFrame; mark: Props['mark'] }) => {
  const inks = useInks();
  if (!mark) return null;
  const x = frame.x(mark.at);
  const onRight = x < (frame.left + frame.right) / 2;
  return (
    <G>
      <Line x1={x} x2={x} y1={frame.top} y2={frame.bottom} stroke={inks.ink} strokeDasharray="2 3" />
      <SvgText
        x={onRight ? x + 6 : x - 6}
        y={frame.top + 8}
        textAnchor={onRight ? 'start' : 'end'}
        fontFamily={SANS}
        fontSize={12}
        fill={inks.ink}
      >
        {mark.text}
      </SvgText>
    </G>
  );
};

/** The charge against its measure: a stepped line with a dot at each step, and where the test order stands. */
export const StepCurve = memo(function StepCurve(props: Props) {
  const { curve, display, mark, costs } = props;
  const inks = useInks();
  return (
    <Chart spoken={spoken(props)} height={HEIGHT}>
      {(width) => {
        const frame = curveFrame(curve, width, HEIGHT);
        return (
          <>
            <ChartAxes
              frame={frame}
              across={(value) => measureFigure(curve.basis, value, display)}
              upward={(amount) => withoutCents(moneyFigure(amount, display.decimals))}
            />
            <Path d={curvePath(frame, curve)} stroke={inks.ink} strokeWidth={2} fill="none" />
            {costs ? (
              <Path d={costPath(frame, costs)} stroke={inks.control} strokeWidth={1} fill="none" />
            ) : null}
            {curve.dots.map(({ at, amount }) => (
              <Circle key={at} cx={frame.x(at)} cy={frame.y(amount)} r={3.5} fill={inks.ink} />
            ))}
            <Mark frame={frame} mark={mark} />
            <Falls frame={frame} curve={curve} display={display} />
          </>
        );
      }}
    </Chart>
  );
});
