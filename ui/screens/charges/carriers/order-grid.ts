import { createSelector } from '@reduxjs/toolkit';
import type { CarrierAnswer } from '../../../../core/model/carrier.ts';
import type { CostPoint } from '../../../../core/price/propose-steps.ts';
import { measureBasket } from '../../../../core/basket/basket.ts';
import { selectCompiled, selectPastOrders } from '../../../state/selectors.ts';
import type { SamplePlace } from './sample-places.ts';

/** The weights, in grams, at which a carrier is asked. */
export const GRID_WEIGHTS = [500, 1_000, 2_000, 3_000, 5_000, 7_500, 10_000, 15_000, 20_000, 30_000];

/** How many past orders went where, by postal code and the grid's weight that holds them. */
export const selectOrderGrid = createSelector([selectCompiled, selectPastOrders], (compiled, orders) => {
  const grid = new Map<string, number>();
  for (const { request } of orders) {
    const { destination } = request;
    const { basket, faults } = measureBasket(compiled.goods, compiled.book.store.defaultWeight, request);
    const weight = GRID_WEIGHTS.find((most) => basket.charged.weight.value <= most);
    if (!destination || faults.length > 0 || weight === undefined) continue;
    const key = `${destination.country} ${destination.postalCode ?? ''} ${weight}`;
    grid.set(key, (grid.get(key) ?? 0) + 1);
  }
  return grid as ReadonlyMap<string, number>;
});

/** A place and a weight that a carrier was asked about. */
export interface GridCell {
  place: SamplePlace;
  weight: number;
}

export const gridOf = (places: readonly SamplePlace[]): GridCell[] =>
  places.flatMap((place) => GRID_WEIGHTS.map((weight) => ({ place, weight })));

/**
 * What the carrier takes for a service at each place and weight, with the orders each stands for; where none of
 * the past orders fall on the grid, every cell stands for one.
 */
export const costPoints = (
  cells: readonly GridCell[],
  answers: readonly CarrierAnswer[],
  code: string,
  grid: ReadonlyMap<string, number>,
): { points: CostPoint[]; assumed: boolean } => {
  const points = cells.flatMap(({ place, weight }, at): CostPoint[] => {
    const answer = answers[at];
    const service = answer?.ok ? answer.services.find((one) => one.code === code) : undefined;
    const { country, postalCode = '' } = place.destination;
    const orders = grid.get(`${country} ${postalCode} ${weight}`) ?? 0;
    return service ? [{ weight, cost: service.amount, orders }] : [];
  });
  const assumed = points.every(({ orders }) => orders === 0);
  return { points: assumed ? points.map((point) => ({ ...point, orders: 1 })) : points, assumed };
};
