import type { Good } from '../model/good.ts';
import type { Box, PackPlan } from '../model/pack.ts';
import type { Packed } from './pack.ts';

/** A plan of packing with the boxes it names; none for plans that use none. */
export interface Packing {
  plan: PackPlan;
  boxes: readonly Box[];
  memory: PackMemory;
}

/** What was found of a plan before: checkout asks the same baskets and goods again and again. */
export interface PackMemory {
  /** By the key of what was packed; no more than a bound. */
  packed: Map<string, Packed>;
  /** Whether a good goes into some box. */
  fits: WeakMap<Good, boolean>;
}

/**
 * A plan with its boxes out of the book's. A carrier's own boxes are left out where the parcels go to another
 * carrier; `carrier` is undefined for the store's own plan, in which listed boxes are used as listed.
 */
export const packingOf = (plan: PackPlan, boxes: readonly Box[], carrier?: string): Packing => ({
  plan,
  boxes:
    plan.kind === 'boxes'
      ? boxes.filter(
          ({ id, carrierBox }) =>
            plan.boxIds.includes(id) &&
            (carrier === undefined || carrierBox === undefined || carrierBox.carrier === carrier),
        )
      : [],
  memory: { packed: new Map(), fits: new WeakMap() },
});
