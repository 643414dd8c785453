import type { CostedOrder } from '../../../core/costs/costed-order.ts';
import type { OrderFilter } from '../../../core/costs/order-filter.ts';
import { packedOrder, type PackedOrder } from '../../../core/costs/packed-order.ts';
import type { Packing } from '../../../core/pack/packing.ts';
import type { CompiledBook } from '../../../core/quote/compile.ts';
import type { OnCostProgress } from './cost-progress.ts';
import { keptOrMade, type PastOrders } from './past-orders.ts';

type Known = Map<CostedOrder, PackedOrder | null>;

/** Past orders packed anew; what was packed is kept as long as the shop is the same. */
export class PackedOrders {
  readonly #past: PastOrders;
  readonly #known = new WeakMap<CompiledBook, Map<string, Map<Packing, Known>>>();

  constructor(past: PastOrders) {
    this.#past = past;
  }

  /** What was packed in a packing at an account's prices. */
  knownOf(accountId: string, packing: Packing): Known {
    const { compiled } = this.#past.opened;
    const byAccount = this.#known.get(compiled) ?? new Map<string, Map<Packing, Known>>();
    const byPacking = byAccount.get(accountId) ?? new Map<Packing, Known>();
    const known: Known = byPacking.get(packing) ?? new Map<CostedOrder, PackedOrder | null>();
    this.#known.set(compiled, byAccount.set(accountId, byPacking.set(packing, known)));
    return known;
  }

  /** How an account packs. */
  packingOf(accountId: string): Packing | undefined {
    return this.#past.opened.compiled.accounts.get(accountId)?.packing;
  }

  /** Every order in each packing, null where it does not fit in; null where it was stopped. */
  all(
    filter: OrderFilter,
    accountId: string,
    packings: readonly Packing[],
    onProgress: OnCostProgress,
  ): Promise<(PackedOrder | null)[][] | null> {
    const { compiled } = this.#past.opened;
    const packedIn = (packing: Packing, one: CostedOrder): PackedOrder | null =>
      keptOrMade(this.knownOf(accountId, packing), one, () => packedOrder(compiled, one, accountId, packing));
    return this.#past.inTurn(
      this.#past.counted(filter),
      (one) => packings.map((packing) => packedIn(packing, one)),
      onProgress,
    );
  }
}

/** Whether a parcel of an order is in a box. */
export const isIn = (boxId: string, { runs }: PackedOrder): boolean =>
  runs.some(({ packed }) => packed?.box.id === boxId);
