import { quote, requestFaults } from '../quote/quote.ts';
import type { DeliveryArea } from '../model/delivery.ts';
import type { LimitMeasure, Limits } from '../model/price.ts';
import type { Withheld } from '../model/quote.ts';
import type { Broken } from './repair.ts';

/** The limit that keeps out the order which shows a fault. */
export interface BrokenLimit {
  measure: LimitMeasure;
  end: 'min' | 'max';
  limit: number;
  /** The method of an area that has the limit, where it is not the area's own. */
  methodId: string | null;
}

const isOf = ({ id }: Withheld, rule: string): boolean => id === rule || id.startsWith(`${rule}:`);

/** What the rule that a problem blames refuses its own example with. */
export const refusalsOf = ({ problem, compiled }: Broken): Withheld[] => {
  const { example, where } = problem;
  const rule = where[0]?.id;
  if (!example || rule === undefined || requestFaults(compiled, example).length > 0) return [];
  return quote(compiled, example, []).withheld.filter((one) => isOf(one, rule));
};

/** The limit that keeps the example out; null where it is something else. */
export const brokenLimit = (broken: Broken): BrokenLimit | null => {
  for (const { code, detail, id } of refusalsOf(broken)) {
    if (code !== 'above-limit' && code !== 'below-limit') continue;
    return {
      measure: detail.measure as LimitMeasure,
      end: code === 'above-limit' ? 'max' : 'min',
      limit: Number(detail.limit),
      methodId: id.split(':')[1] ?? null,
    };
  }
  return null;
};

/** Limits with one end set, or taken out with null; undefined where none is left. */
export const withEnd = (
  limits: Limits | undefined,
  { measure, end }: Pick<BrokenLimit, 'measure' | 'end'>,
  value: number | null,
): Limits | undefined => {
  const ends: { min?: number; max?: number } = { ...limits?.[measure] };
  if (value === null) delete ends[end];
  else ends[end] = value;
  const changed: Limits = { ...limits, [measure]: ends };
  if (Object.keys(ends).length === 0) delete changed[measure];
  return Object.keys(changed).length > 0 ? changed : undefined;
};

type Limited = { limits?: Limits | undefined };

/** A rule with other limits, without the field where none are left. */
export const withLimits = <T extends Limited>({ limits: _, ...rule }: T, limits: Limits | undefined): T =>
  ({ ...rule, ...(limits ? { limits } : {}) }) as T;

/** An area whose own limit, or that of one of its methods, is set or taken out. */
export const areaWithEnd = (area: DeliveryArea, limit: BrokenLimit, value: number | null): DeliveryArea => {
  const own = area.limits?.[limit.measure] as { min?: number; max?: number } | undefined;
  if (own?.[limit.end] === limit.limit) return withLimits(area, withEnd(area.limits, limit, value));
  return {
    ...area,
    methods: area.methods.map((method) =>
      method.id === limit.methodId ? withLimits(method, withEnd(method.limits, limit, value)) : method,
    ),
  };
};
