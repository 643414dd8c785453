import { ticks } from 'd3-array';
import { G, Line, Text as SvgText } from 'react-native-svg';
import type { StepCosts } from '../../../../core/costs/step-costs.ts';
import { moneyFigure } from '../../../../core/words/figure.ts';
import { Chart } from '../../../parts/chart.tsx';
import { withoutCents } from '../../../parts/chart-axes.tsx';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useInks } from '../../../theme/theme.ts';
import { SANS } from '../../../theme/tokens.ts';
import { BOX_TALL, CostMarks, scaleTo } from './cost-box.tsx';

/** A step that has orders with a cost, and what it is called. */
export interface ChartedStep {
  name: string;
  costs: NonNullable<StepCosts['costs']>;
  charge: number;
}

interface Props {
  id: string;
  steps: readonly ChartedStep[];
  /** What the right edge stands for. */
  most: number;
  spoken: string;
}

const LEFT = 150;
const RIGHT = 24;
const ROW = 34;
const FOOT = 26;
/** About so many pixels to a label along the bottom. */
const LABEL_ROOM = 80;

const Drawing = ({ steps, most, width }: Omit<Props, 'id' | 'spoken'> & { width: number }) => {
  const inks = useInks();
  const { decimals } = useAppSelector(selectDisplayFormat);
  const label = { fontFamily: SANS, fontSize: 12, fill: inks.quiet } as const;
  const right = Math.max(width - RIGHT, LEFT + 1);
  const x = scaleTo(most, LEFT, right);
  const bottom = steps.length * ROW;
  return (
    <>
      {ticks(0, most, Math.max(2, Math.floor((right - LEFT) / LABEL_ROOM))).map((amount) => (
        <G key={amount}>
          <Line
            x1={x(amount)}
            x2={x(amount)}
            y1={0}
            y2={bottom}
            stroke={inks.hairline}
            strokeDasharray={amount === 0 ? undefined : '1 4'}
          />
          <SvgText {...label} x={x(amount)} y={bottom + 18} textAnchor="middle">
            {withoutCents(moneyFigure(amount, decimals))}
          </SvgText>
        </G>
      ))}
      <Line x1={LEFT} x2={right} y1={bottom} y2={bottom} stroke={inks.ink} />
      {steps.map(({ name, costs, charge }, row) => (
        <G key={name}>
          <SvgText {...label} fill={inks.ink} x={LEFT - 12} y={row * ROW + ROW / 2 + 4} textAnchor="end">
            {name}
          </SvgText>
          <CostMarks costs={costs} charge={charge} x={x} top={row * ROW + (ROW - BOX_TALL) / 2} />
        </G>
      ))}
    </>
  );
};

/** All steps of a rate as one drawing along one line of amounts: what their orders cost, and what is charged. */
export const StepsChart = ({ id, spoken, ...drawn }: Props) => (
  <Chart id={id} spoken={spoken} height={drawn.steps.length * ROW + FOOT}>
    {(width) => <Drawing {...drawn} width={width} />}
  </Chart>
);
