import type { Box } from '../model/pack.ts';
import { volumeOf } from '../pack/cuboid.ts';
import { packingOf, type Packing } from '../pack/packing.ts';
import { countParcels } from '../pack/pack.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { PackedOrder } from './packed-order.ts';

/** Some orders in their parcels; amounts in minor units. */
export interface PackedSums {
  orders: number;
  parcels: number;
  carrier: number;
  boxes: number;
}

/** What some packed orders come to. */
export const packedSums = (orders: readonly PackedOrder[]): PackedSums =>
  orders.reduce<PackedSums>(
    (sums, { runs, carrier, boxes }) => ({
      orders: sums.orders + 1,
      parcels: sums.parcels + countParcels(runs),
      carrier: sums.carrier + carrier,
      boxes: sums.boxes + boxes,
    }),
    { orders: 0, parcels: 0, carrier: 0, boxes: 0 },
  );

/** What some orders take in all: the carrier's price and the boxes. Minor units. */
export const takenBy = ({ carrier, boxes }: Pick<PackedSums, 'carrier' | 'boxes'>): number => carrier + boxes;

/** One box over some orders. */
export interface BoxUse {
  box: Box;
  /** Parcels packed into it, and orders that have one. */
  parcels: number;
  orders: number;
  /** The share of its room that goods took up, over all its parcels; null where it was not used. */
  filled: number | null;
}

/** How each box of a packing was used, in the order of the packing. */
export const boxUse = ({ boxes }: Packing, orders: readonly PackedOrder[]): BoxUse[] =>
  boxes.map((box) => {
    const inside = orders.flatMap(({ runs }) => {
      const its = runs.filter(({ packed }) => packed?.box.id === box.id);
      return its.length > 0 ? [its] : [];
    });
    const parcels = inside.reduce((sum, runs) => sum + countParcels(runs), 0);
    const volume = inside.flat().reduce((sum, { count, packed }) => sum + count * (packed?.volume ?? 0), 0);
    return {
      box,
      parcels,
      orders: inside.length,
      filled: parcels === 0 ? null : volume / (parcels * volumeOf(box.inside)),
    };
  });

/** A way of packing that the book has, as an account's carrier takes it, and who packs so: 'store', or accounts by id. */
export interface UsedPacking {
  packing: Packing;
  by: string[];
}

/** What tells one packing from another: its plan, with the boxes that are left of it. */
const keyOf = ({ plan, boxes }: Packing): string =>
  plan.kind === 'boxes' ? boxes.map(({ id }) => id).join() : JSON.stringify(plan);

/** The ways of packing of a book for an account's parcels, each once, the account's own first. */
export const usedPackings = ({ book, accounts }: CompiledBook, accountId: string): UsedPacking[] => {
  const found = accounts.get(accountId);
  if (!found) return [];
  const { store, carriers, boxes } = book;
  const used = new Map<string, UsedPacking>([
    [keyOf(found.packing), { packing: found.packing, by: [accountId] }],
  ]);
  for (const { id, packing: plan } of [{ id: 'store', packing: store.packing }, ...carriers]) {
    if (id === accountId) continue;
    const packing = packingOf(plan, boxes, found.account.carrier);
    const known = used.get(keyOf(packing));
    if (known) known.by.push(id);
    else used.set(keyOf(packing), { packing, by: [id] });
  }
  return [...used.values()];
};
