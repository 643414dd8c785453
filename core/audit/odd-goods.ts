import type { Book } from '../model/book.ts';
import type { Good } from '../model/good.ts';
import type { Limits } from '../model/price.ts';
import { volumeOf } from '../pack/cuboid.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { measureFigure } from '../words/figure.ts';
import type { Finding, RuleRef } from './finding.ts';
import { limitsThatContradict } from './odd-rates.ts';

type Measured = 'weight' | 'subtotal' | 'volume' | 'longestSide';

/** What one unit of a good measures; undefined where it is not known. */
const measured = (good: Good, defaultWeight: number | undefined): Record<Measured, number | undefined> => {
  const { size } = good;
  return {
    weight: good.weight ?? defaultWeight,
    subtotal: good.price,
    volume: size && volumeOf(size),
    longestSide: size && Math.max(size.length, size.width, size.height),
  };
};

/** The limit that every good of the catalogue is above, one alone. */
const tooLow = ({ goods, book, display }: CompiledBook, limits: Limits | undefined): string | null => {
  const physical = [...goods.values()].filter(({ fulfilment }) => fulfilment === 'physical');
  const each = physical.map((good) => measured(good, book.store.defaultWeight));
  for (const measure of ['weight', 'subtotal', 'volume', 'longestSide'] as const) {
    const max = limits?.[measure]?.max;
    if (max === undefined || each.length === 0) continue;
    if (each.every((one) => (one[measure] ?? 0) > max)) return measureFigure(measure, max, display);
  }
  return null;
};

/** A rule with limits: a rate, an area or one of its methods, a pickup point. */
interface Limited {
  kind: RuleRef['kind'];
  id: string;
  active: boolean;
  limits?: Limits | undefined;
  method?: string;
}

const allLimited = ({ rates, areas, pickups }: Book): Limited[] => [
  ...rates.map((one) => ({ ...one, kind: 'rate' as const })),
  ...areas.map((one) => ({ ...one, kind: 'area' as const })),
  ...areas.flatMap(({ id, active, methods }) =>
    methods.map(({ id: part, name, limits }): Limited => {
      return { kind: 'area', id: `${id}:${part}`, active, limits, method: name };
    }),
  ),
  ...pickups.map((one) => ({ ...one, kind: 'pickup' as const })),
];

/** Rates, areas and pickup points whose limits no good of the catalogue meets, or whose least order is above their limit. */
export const limitsWithoutGoods = (compiled: CompiledBook): Finding[] => {
  const { areas, pickups } = compiled.book;
  const all = allLimited(compiled.book);
  const idle = all
    .filter(
      ({ active, limits }) =>
        active && limitsThatContradict((part) => ({ kind: 'store', id: part }), limits).length === 0,
    )
    .flatMap(({ kind, id, limits, method }): Finding[] => {
      const limit = tooLow(compiled, limits);
      if (limit === null) return [];
      return [
        { code: 'takes-no-good', where: [{ kind, id }], detail: method ? { limit, method } : { limit } },
      ];
    });
  const contradicting = [
    ...areas.map((one) => ({ ...one, kind: 'area' as const })),
    ...pickups.map((one) => ({ ...one, kind: 'pickup' as const })),
  ]
    .filter(
      ({ active, minSubtotal, limits }) =>
        active &&
        minSubtotal !== undefined &&
        minSubtotal > (limits?.subtotal?.max ?? Number.POSITIVE_INFINITY),
    )
    .map(({ kind, id }): Finding => ({
      code: 'limits-contradict',
      where: [{ kind, id: `${id}:subtotal` }],
      detail: { measure: 'subtotal' },
    }));
  return [...idle, ...contradicting];
};
