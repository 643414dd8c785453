import { t } from '../../translate/translate.ts';
import { toThousandth } from '../../model/measured.ts';
import type { Measure, Step, StepsPrice } from '../../model/price.ts';
import type { BasketLine } from '../../basket/basket.ts';
import type { ParcelRun } from '../../pack/pack.ts';
import { moneyFigure } from '../../words/figure.ts';
import { tiersCurve } from '../curve.ts';
import { oneEntry, refused } from '../entries.ts';
import { isFilled } from '../figure-rows.ts';
import { greatest } from '../greatest.ts';
import { measureOf } from '../measure-order.ts';
import type { Entry, FigureRow, PricedOrder, PriceKind, PriceOf, ShopFacts } from '../price-kind.ts';
import { raisedAmount, type Raise } from '../raise.ts';
import { priceByTiers, sortTiers, type SortedTiers } from '../tiers.ts';

const byOrder =
  (tiers: SortedTiers): PriceOf =>
  (order, from) => {
    const value = measureOf(tiers.basis, order);
    if (typeof value !== 'number') return refused(value);
    const priced = priceByTiers(tiers, value, order.basket.subtotal);
    return priced.ok
      ? oneEntry(priced.amount, from, priced.say)
      : refused({ code: priced.code, say: priced.say });
  };

const volumeOf = ({ contents }: ParcelRun, lines: readonly BasketLine[]): number =>
  Math.round(
    contents.reduce((sum, { line, quantity }) => {
      const size = lines[line]?.good.size;
      return size ? sum + size.length * size.width * size.height * quantity : sum;
    }, 0),
  );

/** A parcel's own weight, units or volume; the subtotal is the order's, for it has no parts. */
const measureOfParcel = (basis: Measure, run: ParcelRun, { basket, distance }: PricedOrder): number => {
  if (basis === 'weight') return toThousandth(run.weight);
  if (basis === 'units') return run.units;
  if (basis === 'distance') return distance ?? 0;
  return basis === 'volume' ? volumeOf(run, basket.chargeable) : basket.subtotal;
};

/** Each parcel priced and rounded for itself, then added. */
const byParcel =
  (tiers: SortedTiers): PriceOf =>
  (order, from) => {
    const known = measureOf(tiers.basis, order);
    if (typeof known !== 'number') return refused(known);
    const packed = order.parcels.all();
    if (!packed.ok) return refused(packed.refusal);
    const entries: Entry[] = [];
    for (const run of packed.runs) {
      const value = measureOfParcel(tiers.basis, run, order);
      const priced = priceByTiers(tiers, value, order.basket.subtotal);
      if (!priced.ok) return refused({ code: priced.code, say: priced.say });
      const { count } = run;
      const say = { code: 'parcels-tier', count, tier: priced.say } as const;
      entries.push({ change: priced.amount * count, from, say });
    }
    return { ok: true, entries };
  };

/** Each amount raised; what `each` adds is raised by a percentage only. */
const raised = (price: StepsPrice, raise: Raise): StepsPrice => ({
  ...price,
  steps: price.steps.map((step) => ({
    ...step,
    amount: raisedAmount(step.amount, raise),
    ...(step.each && raise.by.kind === 'percent'
      ? { each: { ...step.each, amount: raisedAmount(step.each.amount, { by: raise.by, rounding: null }) } }
      : {}),
  })),
});

const BY: Record<Measure, string> = {
  weight: t('by weight'),
  subtotal: t('by subtotal'),
  units: t('by units'),
  volume: t('by volume'),
  distance: t('by distance'),
};

/** Whether a step adds to its amount, so that there is no maximum charge. */
const isOpen = ({ steps }: StepsPrice): boolean =>
  steps.some(({ each, percent }) => each !== undefined || percent !== undefined);

const phrase: PriceKind<StepsPrice>['phrase'] = (price, { decimals }) => {
  const amounts = price.steps.map((step) => step.amount);
  const least = moneyFigure(Math.min(...amounts), decimals);
  const most = moneyFigure(Math.max(...amounts), decimals);
  const open = price.steps.some((step) => step.each || step.percent);
  const range = open
    ? t('from {least}', { least })
    : least === most
      ? least
      : t('{least} to {most}', { least, most });
  return { price: range, by: `${BY[price.basis]}${price.per === 'parcel' ? t(', each parcel') : ''}` };
};

const isForAll = ({ basis, steps, until, per }: StepsPrice, { allKnown }: ShopFacts): boolean => {
  if (basis === 'distance' || per === 'parcel' || until !== undefined) return false;
  if ((basis === 'weight' || basis === 'volume') && !allKnown(basis)) return false;
  return steps.some(({ from }) => from === 0);
};

/** A list without a column for where steps begin says nothing of steps: its one row would take the place of all. */
const isStepRow = (row: FigureRow): row is FigureRow & { amount: number } =>
  isFilled(row.amount) && row.from !== undefined;

/** A row's step; what it adds for each measure above its beginning stays with a step that begins there. */
const stepOf = ({ from, amount, percent }: FigureRow & { amount: number }, before: readonly Step[]): Step => {
  const begins = from ?? 0;
  const { percent: share, ...old } = before.find((step) => step.from === begins) ?? { from: begins };
  const points = percent === undefined ? share : (percent ?? undefined);
  return { ...old, amount, ...(points === undefined ? {} : { percent: points }) };
};

/** The steps of the rows, in rising order; where one begins twice or has no amount they are none. */
const withRows = (price: StepsPrice, rows: readonly FigureRow[]): StepsPrice | null => {
  if (rows.length === 0 || !rows.every(isStepRow)) return null;
  const steps = rows.map((row) => stepOf(row, price.steps)).sort((a, b) => a.from - b.from);
  const begins = new Set(steps.map(({ from }) => from));
  const lies = price.until === undefined || steps.every(({ from }) => from < (price.until ?? 0));
  return begins.size === steps.length && lies ? { ...price, steps } : null;
};

/** Steps by a measure of the order or of each parcel. */
export const STEPS: PriceKind<StepsPrice> = {
  prepare: (price) => (price.per === 'parcel' ? byParcel : byOrder)(sortTiers(price)),
  figure: ({ steps }) => steps[0]?.amount || greatest(steps.map(({ amount }) => amount)),
  chargesNothing: ({ steps }) =>
    steps.every(({ amount, each, percent }) => amount === 0 && !each?.amount && !percent),
  fromAmount: (amount) => ({ kind: 'steps', basis: 'weight', per: 'order', steps: [{ from: 0, amount }] }),
  raised,
  curve: tiersCurve,
  curveBasis: ({ basis }) => basis,
  phrase,
  withAmount: (price, part, amount) => ({
    ...price,
    steps: price.steps.map((step) => (step.from === Number(part) ? { ...step, amount } : step)),
  }),
  basis: ({ basis }) => basis,
  changesAt: ({ steps, until }) => [
    ...steps.map(({ from }) => from),
    ...(until === undefined ? [] : [until]),
  ],
  isForAll,
  extent: (price) => {
    if (price.per === 'parcel') return null;
    const amounts = price.steps.map(({ amount }) => amount);
    const most = isOpen(price) ? Number.POSITIVE_INFINITY : Math.max(...amounts);
    return { least: Math.min(...amounts), most };
  },
  names: () => ({}),
  rows: ({ steps }) => steps.map(({ from, amount, percent }) => ({ from, amount, percent: percent ?? null })),
  withRows,
  rowsExpected: t(
    'Each step takes a row with an amount and where it begins, no two of them the same, all before the steps end.',
  ),
  beginsByRows: (basis) => ({ kind: 'steps', basis, per: 'order', steps: [{ from: 0, amount: 0 }] }),
};
