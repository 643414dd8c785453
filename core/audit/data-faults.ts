import type { Book } from '../model/book.ts';
import type { Good } from '../model/good.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { Finding, RuleRef } from './finding.ts';
import { conditionKind } from '../adjust/condition-kinds.ts';
import { kindOf } from '../price/kinds.ts';

const goodAt = ({ sku }: Good): RuleRef => ({ kind: 'good', id: sku });

/** Whether some rate, condition or plan needs to know what goods weigh or measure. */
const needs = ({
  rates,
  rateTables,
  adjustments,
  store,
  carriers,
  areas,
  pickups,
}: Book): { weight: boolean; size: boolean } => {
  const measures = new Set<string>();
  const nearby = [...areas, ...pickups.map(({ active, limits }) => ({ active, limits, price: null }))];
  const byMethod = areas.flatMap(({ active, methods }) =>
    methods.map(({ limits }) => ({ active, limits, price: null })),
  );
  for (const { active, price, limits } of [...rates, ...nearby, ...byMethod]) {
    if (!active) continue;
    for (const measure of Object.keys(limits ?? {})) measures.add(measure);
    if (!price) continue;
    const basis = kindOf(price).basis(price, rateTables);
    if (basis) measures.add(basis);
  }
  for (const { active, when } of adjustments)
    if (active)
      for (const one of when) {
        const basis = conditionKind(one).basis(one);
        if (basis) measures.add(basis.of);
      }
  const asked = rates.some(({ active, price }) => active && price.kind === 'carrier');
  const plans = [store, ...(asked ? carriers : [])].map(({ packing }) => packing.kind);
  const packs = plans.some((kind) => kind === 'by-weight' || kind === 'even' || kind === 'boxes');
  return {
    weight: measures.has('weight') || packs || asked,
    size: measures.has('volume') || measures.has('longestSide') || plans.includes('boxes'),
  };
};

/** The densest a good may be, as heavy metals are, and the lightest, in grams a litre. */
const DENSEST = 20_000;
const LIGHTEST = 5;
const CUBIC_MM_A_LITRE = 1_000_000;

const isImprobable = ({ weight, size }: Good): boolean => {
  if (weight === undefined || !size) return false;
  const litres = (size.length * size.width * size.height) / CUBIC_MM_A_LITRE;
  return litres > 0 && (weight / litres > DENSEST || (litres >= 1 && weight / litres < LIGHTEST));
};

const oddGoods = ({ book, goods }: CompiledBook): Finding[] => {
  const needed = needs(book);
  return [...goods.values()]
    .filter(({ fulfilment }) => fulfilment === 'physical')
    .flatMap((good): Finding[] => {
      const where: [RuleRef] = [goodAt(good)];
      const detail = { good: good.name };
      const hasWeight = good.weight !== undefined || book.store.defaultWeight !== undefined;
      return [
        ...(needed.weight && !hasWeight ? [{ code: 'weight-missing' as const, where, detail }] : []),
        ...(needed.size && !good.size ? [{ code: 'size-missing' as const, where, detail }] : []),
        ...(isImprobable(good) ? [{ code: 'figures-improbable' as const, where, detail }] : []),
      ];
    });
};

const unused = ({ book, goods }: CompiledBook): Finding[] => {
  const groups = new Set([...goods.values()].flatMap(({ groupIds }) => groupIds ?? []));
  return [
    ...book.groups
      .filter(({ id }) => !groups.has(id))
      .map(({ id, name }): Finding => ({
        code: 'group-unused',
        where: [{ kind: 'group', id }],
        detail: { name },
      })),
    ...book.locations
      .slice(1)
      .filter(({ id }) =>
        [book.carriers, book.areas, book.pickups].every((list) => list.every((one) => one.locationId !== id)),
      )
      .map(({ id, name }): Finding => ({
        code: 'location-unused',
        where: [{ kind: 'location', id }],
        detail: { name },
      })),
  ];
};

/** What the catalogue lacks that some rule needs, figures that are improbable, and what nothing uses. */
export const dataFaults = (compiled: CompiledBook): Finding[] => [...oddGoods(compiled), ...unused(compiled)];
