import type { Box, PackPlan } from '../model/pack.ts';

/** A plan of packing with the boxes it names; none for plans that use none. */
export interface Packing {
  plan: PackPlan;
  boxes: readonly Box[];
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
});
