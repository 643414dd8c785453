import type { Remote } from 'comlink';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { StepCosts } from '../../../../core/costs/step-costs.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import { numbers, type SheetColumn } from '../../../../core/formats/sheet-column.ts';
import type { StepsPrice } from '../../../../core/model/price.ts';
import type { Rate } from '../../../../core/model/rate.ts';
import { measureFigure, moneyFigure } from '../../../../core/words/figure.ts';
import { fileName } from '../../../files/files.ts';
import { Chooser } from '../../../parts/chooser.tsx';
import { dayNow } from '../../../time/now.ts';
import { Fold } from '../../../parts/fold.tsx';
import { Press } from '../../../parts/press.tsx';
import { SaveList } from '../../../parts/save-list.tsx';
import { Section } from '../../../parts/section.tsx';
import { useWidth } from '../../../parts/use-width.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note, smallFigure } from '../../../theme/text.ts';
import { TOUCH, type Inks } from '../../../theme/tokens.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import { ChartSave } from './chart-save.tsx';
import { CostBox } from './cost-box.tsx';
import { Measured } from './measured.tsx';
import { OrdersBehind } from './orders-behind.tsx';
import { FitForm } from './fit-form.tsx';
import { StepsChart, type ChartedStep } from './steps-chart.tsx';
import { signedMoney } from './signed-money.ts';
import { useAnswer } from './use-costs.ts';
import { Actions } from '../../../parts/actions.tsx';

interface Props {
  coster: Remote<Coster>;
  filter: OrderFilter;
}

/** A rate whose price goes by steps for the whole order. */
export interface SteppedRate {
  rate: Rate;
  price: StepsPrice;
  name: string;
}

const CHART = 'steps-chart';

const COLUMNS: SheetColumn[] = [
  {
    heading: 'from',
    ...numbers(t('Of the measure: grams, minor units, units, cubic millimetres or metres.')),
  },
  { heading: 'amount', ...numbers(t('The charge of the step, minor units.')) },
  { heading: 'orders', ...numbers(t('Past orders in it.')) },
  { heading: 'cost_lower', ...numbers(t('A quarter of them cost no more than this, minor units.')) },
  { heading: 'cost_middle', ...numbers(t('Half of them cost no more than this, minor units.')) },
  { heading: 'cost_upper', ...numbers(t('Three quarters cost no more than this, minor units.')) },
  { heading: 'margin', ...numbers(t('Charged less cost, of those with a cost; minor units.')) },
];

const styles = (inks: Inks) => ({
  all: { gap: 12, paddingTop: 12 },
  choice: { flexDirection: 'row', maxWidth: 480 } as const,
  rows: { maxWidth: 860 },
  note: note(inks),
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: 12,
    paddingVertical: 8,
    minHeight: TOUCH,
  } as const,
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  words: { flexGrow: 1, flexBasis: 170 },
  end: { width: 96, marginLeft: 'auto', alignItems: 'flex-end' } as const,
  figure: { ...smallFigure, color: inks.ink },
  loss: { ...smallFigure, color: inks.rubric },
});

/** The rates whose steps can be set beside costs, named. */
const steppedRates = (rates: readonly Rate[], name: (rate: Rate) => string): SteppedRate[] =>
  rates.flatMap((rate) =>
    rate.price.kind === 'steps' && rate.price.per === 'order'
      ? [{ rate, price: rate.price, name: name(rate) }]
      : [],
  );

/** What is charged beside what it costs, by the figure it is meant to cover: half of the orders are charged as much or less. */
const chargeOf = ({ charges }: StepCosts, price: StepsPrice, at: number): number =>
  charges?.median ?? price.steps[at]?.amount ?? 0;

interface StepProps extends Props {
  step: StepCosts;
  stepped: SteppedRate;
  most: number;
}

/** A step beside what its orders cost; pressed, it shows them. */
const StepRow = (props: StepProps) => {
  const { step, stepped, coster, filter } = props;
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const [open, setOpen] = useState(false);
  const rateId = stepped.rate.id;
  const ask = useCallback(
    (at: Remote<Coster>) => at.ordersInStep(filter, rateId, step.at),
    [filter, rateId, step.at],
  );
  const from = measureFigure(stepped.price.basis, step.from, display);
  if (step.orders === 0)
    return (
      <View role="listitem" style={style.item}>
        <StepFigures {...props} />
      </View>
    );
  return (
    <View role="listitem" style={style.item}>
      <Press
        role="button"
        aria-expanded={open}
        aria-label={t('The step from {from}: {orders, plural, one {# order} other {# orders}}', {
          from,
          orders: step.orders,
        })}
        onPress={() => setOpen(!open)}
      >
        <StepFigures {...props} />
      </Press>
      {open ? <OrdersBehind coster={coster} ask={ask} /> : null}
    </View>
  );
};

const StepFigures = ({ step, stepped, most }: Omit<StepProps, keyof Props>) => {
  const style = useStyles(styles);
  const isPhone = useWidth() === 'phone';
  const display = useAppSelector(selectDisplayFormat);
  const { price } = stepped;
  const { costs, margin, orders, from } = step;
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  return (
    <View style={style.row}>
      <View style={style.words}>
        <Text>
          {t('from {figure}: {amount}', {
            figure: measureFigure(price.basis, from, display),
            amount: money(price.steps[step.at]?.amount ?? 0),
          })}
        </Text>
        <Text style={style.note}>
          {t('{orders, plural, one {# order} other {# orders}}', { orders })}
          {costs
            ? t('; half cost {amount} to {amount2}, the middle one {amount3}', {
                amount: money(costs.lower),
                amount2: money(costs.upper),
                amount3: money(costs.median),
              })
            : t('; no cost is known')}
        </Text>
      </View>
      {costs ? (
        <CostBox
          costs={costs}
          charge={chargeOf(step, price, step.at)}
          most={most}
          width={isPhone ? 220 : 240}
        />
      ) : null}
      <View style={style.end}>
        <Text style={margin < 0 ? style.loss : style.figure}>
          {costs ? signedMoney(margin, display.decimals) : ''}
        </Text>
      </View>
    </View>
  );
};

const cellsOf =
  (price: StepsPrice) =>
  ({ at, from, orders, costs, margin }: StepCosts): string[] =>
    [
      from,
      price.steps[at]?.amount ?? '',
      orders,
      costs?.lower ?? '',
      costs?.median ?? '',
      costs?.upper ?? '',
      margin,
    ].map(String);

const spokenOf = (name: string, steps: readonly ChartedStep[], decimals: number): string => {
  const each = steps.map((step) =>
    t('{step}: half cost {amount} to {amount2}, charged {amount3}', {
      step: step.name,
      amount: moneyFigure(step.costs.lower, decimals),
      amount2: moneyFigure(step.costs.upper, decimals),
      amount3: moneyFigure(step.charge, decimals),
    }),
  );
  return t('Costs and charges by step of {name}. {list}', { name, list: each.join('; ') });
};

/** One rate: its steps beside the costs of the orders in them, and steps that would follow the costs. */
const RatePart = ({ coster, filter, stepped }: Props & { stepped: SteppedRate }) => {
  const style = useStyles(styles);
  const { store } = useBookParts('store');
  const display = useAppSelector(selectDisplayFormat);
  const { rate, price, name } = stepped;
  const ask = useCallback((at: Remote<Coster>) => at.steps(filter, rate.id), [filter, rate.id]);
  const found = useAnswer(coster, ask);
  if (!found) return null;
  if (found.orders === 0) return <Text>{t('No past order in this period took it.')}</Text>;
  const most =
    Math.max(...found.steps.flatMap(({ costs, charges }) => [costs?.upper ?? 0, charges?.most ?? 0])) * 1.3;
  const charted = found.steps.flatMap((step): ChartedStep[] =>
    step.costs
      ? [
          {
            name: t('from {figure}', { figure: measureFigure(price.basis, step.from, display) }),
            costs: step.costs,
            charge: chargeOf(step, price, step.at),
          },
        ]
      : [],
  );
  return (
    <View style={style.all}>
      <Text style={style.note}>
        {t(
          'Each box holds the middle half of what the orders cost, the line in it the one in the middle; the heavy mark is what half of them are charged at most, handling and free delivery included.',
        )}
      </Text>
      <View role="list" aria-label={t('Steps of {name} beside costs', { name })} style={style.rows}>
        {found.steps.map((step) => (
          <StepRow key={step.at} coster={coster} filter={filter} step={step} stepped={stepped} most={most} />
        ))}
      </View>
      <Fold title={t('Chart')} of={name} summary={t('all steps along one line of amounts')}>
        <StepsChart
          id={CHART}
          steps={charted}
          most={most}
          spoken={spokenOf(name, charted, display.decimals)}
        />
        <ChartSave id={CHART} name="step-costs" />
      </Fold>
      <Actions>
        <SaveList
          name={(kind) => fileName(store.name, 'step-costs', dayNow(store), kind)}
          sheet={t('Steps')}
          columns={() => COLUMNS}
          items={found.steps}
          cells={cellsOf(price)}
        />
      </Actions>
      <Section title={t('Steps that follow the costs')} />
      <FitForm key={rate.id} coster={coster} filter={filter} stepped={stepped} />
    </View>
  );
};

/** Prices in steps beside what the orders in each step cost. */
const StepsView = ({ coster, filter }: Props) => {
  const style = useStyles(styles);
  const { rates, services, zones } = useBookParts('rates', 'services', 'zones');
  const [chosen, setChosen] = useState<string | null>(null);
  const nameIn = (list: readonly { id: string; name: string }[], wanted: string): string =>
    list.find(({ id }) => id === wanted)?.name ?? '';
  const stepped = steppedRates(rates, ({ serviceId, zoneId }) =>
    t('{service} to {zone}', { service: nameIn(services, serviceId), zone: nameIn(zones, zoneId) }),
  );
  const here = stepped.find(({ rate }) => rate.id === chosen) ?? stepped[0];
  if (!here) return <Text style={style.note}>{t('No rate of the book is priced in steps.')}</Text>;
  return (
    <View style={style.all}>
      <View style={style.choice}>
        <Chooser
          label={t('Rate')}
          chosen={here.name}
          options={stepped.map(({ rate, name }) => ({ id: rate.id, name, note: '' }))}
          onChoose={setChosen}
        />
      </View>
      <Measured coster={coster} filter={filter}>
        {(measured) => <RatePart {...measured} stepped={here} />}
      </Measured>
    </View>
  );
};
export default StepsView;
