import type { Limits } from '../model/price.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { CompiledArea } from '../quote/nearby.ts';
import type { TimePlan } from '../time/times.ts';
import type { Finding, RuleRef } from './finding.ts';
import { limitsThatContradict, stepsThatFall } from './odd-rates.ts';

const areaAt = (id: string, part?: string | number): RuleRef => ({
  kind: 'area',
  id: part === undefined ? id : `${id}:${part}`,
});
const pickupAt = (id: string, part?: string | number): RuleRef => ({
  kind: 'pickup',
  id: part === undefined ? id : `${id}:${part}`,
});

const DAYS_TRIED = 21;
const MS_AN_HOUR = 3_600_000;

/** Whether an order placed at some hour of three weeks from a day on has a time to choose. */
const isEverInTime = ({ clock }: CompiledBook, { at }: TimePlan, on: number): boolean => {
  for (let hour = 0; hour < DAYS_TRIED * 24; hour += 1)
    if (at(clock.text(on + hour * MS_AN_HOUR), null).ok) return true;
  return false;
};

/** A distance is asked for, and the location's point is not known. */
const pointless = (compiled: CompiledBook): Finding[] => {
  const areas = compiled.areas.filter(
    ({ area: { covers, price }, location }) =>
      !location.address.point &&
      (covers.kind === 'radius' || (price.kind === 'steps' && price.basis === 'distance')),
  );
  const points = compiled.pickups.filter(
    ({ point, location }) => !location.address.point && point.maxDistance !== undefined,
  );
  return [
    ...areas.map(({ area, location }): Finding => ({
      code: 'location-without-point',
      where: [areaAt(area.id), { kind: 'location', id: location.id }],
      detail: {},
    })),
    ...points.map(({ point, location }): Finding => ({
      code: 'location-without-point',
      where: [pickupAt(point.id), { kind: 'location', id: location.id }],
      detail: {},
    })),
  ];
};

/** Areas that name a code in the same words as one before them at the same location, and areas that name none. */
const oddLists = ({ areas }: CompiledBook): Finding[] => {
  const named = new Map<string, string>();
  return areas
    .filter(({ area }) => area.active)
    .flatMap(({ area: { id, name, covers, locationId } }): Finding[] => {
      if (covers.kind !== 'postal') return [];
      if (covers.patterns.length === 0)
        return [{ code: 'area-covers-nothing', where: [areaAt(id)], detail: {} }];
      return covers.patterns.flatMap((entry): Finding[] => {
        const key = `${locationId}/${covers.country}/${entry}`;
        const first = named.get(key);
        if (first === undefined) named.set(key, name);
        return first === undefined || first === name
          ? []
          : [
              {
                code: 'areas-contest',
                where: [areaAt(id, entry)],
                detail: { entry, winner: first, loser: name },
              },
            ];
      });
    });
};

/** Both of two limits at once. */
const bothLimits = (one: Limits = {}, other: Limits = {}): Limits =>
  Object.fromEntries(
    (['weight', 'subtotal', 'units', 'volume'] as const).map((measure) => {
      const ends = [one[measure] ?? {}, other[measure] ?? {}];
      const mins = ends.flatMap(({ min }) => min ?? []);
      const maxes = ends.flatMap(({ max }) => max ?? []);
      return [
        measure,
        {
          ...(mins.length > 0 ? { min: Math.max(...mins) } : {}),
          ...(maxes.length > 0 ? { max: Math.min(...maxes) } : {}),
        },
      ];
    }),
  );

/** An area whose limits contradict themselves, or those of one of its methods contradict themselves or the area's. */
const contradictions = ({ area: { id, limits, methods } }: CompiledArea): Finding[] => {
  const own = limitsThatContradict((part) => areaAt(id, part), limits);
  if (own.length > 0) return own;
  return methods.flatMap(({ id: part, name, limits: narrower }) =>
    limitsThatContradict(() => areaAt(id, part), bothLimits(limits, narrower)).map((one) => ({
      ...one,
      detail: { ...one.detail, method: name },
    })),
  );
};

/** What is odd about delivery areas and pickup points: times that never come, points that lack, lists that contend. */
export const oddNearby = (compiled: CompiledBook, on: number): Finding[] => {
  const areas = compiled.areas.filter(({ area }) => area.active);
  const pickups = compiled.pickups.filter(({ point }) => point.active);
  return [
    ...pointless(compiled),
    ...oddLists(compiled),
    ...areas.flatMap(contradictions),
    ...areas.flatMap(({ area, methods }) => [
      ...stepsThatFall((part) => areaAt(area.id, part), area.price),
      ...methods
        .filter(({ times }) => !isEverInTime(compiled, times, on))
        .map(({ method }): Finding => ({
          code: 'never-in-time',
          where: [areaAt(area.id, method.id)],
          detail: { method: method.name },
        })),
    ]),
    ...pickups.flatMap(({ point, times }) => [
      ...limitsThatContradict((part) => pickupAt(point.id, part), point.limits),
      ...(isEverInTime(compiled, times, on)
        ? []
        : [{ code: 'never-in-time' as const, where: [pickupAt(point.id)] as [RuleRef], detail: {} }]),
    ]),
  ];
};
