import type { WhatIf } from './what-if.ts';

/**
 * The margin with so many orders more that come for the free delivery, each taking what a free order takes in the
 * mean and bringing nothing; minor units. Where no free order has a cost they change nothing.
 */
export const marginWithMore = ({ now, free }: Pick<WhatIf, 'now' | 'free'>, moreOrders: number): number =>
  free.withCost === 0 ? now.margin : now.margin - Math.round((moreOrders * free.cost) / free.withCost);

/** A point of a curve at a value. */
type At = WhatIf & { value: number };
const isAt = (one: WhatIf): one is At => one.value !== null;

/**
 * The values at which the margin turns from loss to gain or back: between two neighbours along the straight line that
 * joins them, rounded to whole units of the lever.
 */
export const breakEvens = (curve: readonly WhatIf[], moreOrders = 0): number[] => {
  const points = curve.filter(isAt);
  return points.flatMap((point, at) => {
    const next = points[at + 1];
    const [here, there] = [marginWithMore(point, moreOrders), next ? marginWithMore(next, moreOrders) : 0];
    if (here === 0) return [point.value];
    if (!next || Math.sign(here) * Math.sign(there) !== -1) return [];
    return [Math.round(point.value + ((next.value - point.value) * here) / (here - there))];
  });
};

/** Hundredths of a percent of the orders that would be charged more. */
export const shareOfMore = ({ was, more }: WhatIf): number =>
  was.orders === 0 ? 0 : Math.round((more.orders * 10_000) / was.orders);

/**
 * The point with the greatest margin among those at which no more than a share of the orders is charged more and no
 * order loses its choice; the earlier of equals. Null where there is none. `mostShare` in hundredths of a percent.
 */
export const bestUnder = (curve: readonly WhatIf[], mostShare: number, moreOrders = 0): WhatIf | null =>
  curve
    .filter((point) => shareOfMore(point) <= mostShare && point.lost === 0)
    .reduce<WhatIf | null>(
      (best, point) =>
        best && marginWithMore(best, moreOrders) >= marginWithMore(point, moreOrders) ? best : point,
      null,
    );
