import { bestBoxOver, type BoxLimits } from '../../../core/costs/best-box.ts';
import { BoxTrial, boxOfSize, makingOf } from '../../../core/costs/box-trial.ts';
import type { OrderFilter } from '../../../core/costs/order-filter.ts';
import { packedOrder, type PackedOrder } from '../../../core/costs/packed-order.ts';
import { packedSums, takenBy, type PackedSums } from '../../../core/costs/packing-compared.ts';
import type { Book } from '../../../core/model/book.ts';
import type { Box } from '../../../core/model/pack.ts';
import { compile } from '../../../core/quote/compile.ts';
import { breath, STINT_MS } from './cost-progress.ts';
import { isIn, type PackedOrders } from './packed-orders.ts';
import type { PastOrders } from './past-orders.ts';

/** One more box with which past orders take least: how many would have a parcel in it, and what all take without and with it. */
export interface BoxFound {
  box: Omit<Box, 'id' | 'name'>;
  orders: number;
  was: PackedSums;
  now: PackedSums;
}

/** Which box is sought, and who is told how many sizes were tried. */
export interface BoxSearch {
  filter: OrderFilter;
  accountId: string;
  limits: BoxLimits;
  onTried: (sizes: number) => void;
}

const NEW_BOX = 'one-more-box';

/** So many orders stand for all while a size is sought. */
const ENOUGH_ORDERS = 800;

/** A book in which an account packs into one more box too. */
const withBox = (book: Book, accountId: string, box: BoxFound['box']): Book => ({
  ...book,
  boxes: [...book.boxes, { ...box, id: NEW_BOX, name: '' }],
  carriers: book.carriers.map((account) =>
    account.id === accountId && account.packing.kind === 'boxes'
      ? { ...account, packing: { kind: 'boxes', boxIds: [...account.packing.boxIds, NEW_BOX] } }
      : account,
  ),
});

/** What a box would truly change: the orders packed again by the book with it, over those that both can pack. */
const withOneMore = async (
  past: PastOrders,
  accountId: string,
  orders: readonly PackedOrder[],
  box: BoxFound['box'],
): Promise<BoxFound | null> => {
  const { book, parts, ask, goods } = past.opened.compiled;
  const changed = compile(withBox(book, accountId, box), { goods: [...goods.values()] }, ask, parts);
  const anew = await past.inTurn(
    orders,
    (one) => packedOrder(changed, one.costed, accountId),
    () => undefined,
  );
  if (!anew) return null;
  const now = anew.filter((one) => one !== null);
  const was = orders.filter((_, which) => anew[which] !== null);
  return {
    box,
    orders: now.filter((one) => isIn(NEW_BOX, one)).length,
    was: packedSums(was),
    now: packedSums(now),
  };
};

/** Goes through a search with a breath now and then; 'stopped' where another run was begun. */
const searched = async <T>(
  past: PastOrders,
  search: Iterator<unknown, T>,
  onTried: BoxSearch['onTried'],
): Promise<T | 'stopped'> => {
  const mine = past.run;
  let tried = 0;
  let rested = performance.now();
  let step = search.next();
  while (!step.done) {
    tried += 1;
    step = search.next();
    if (performance.now() - rested < STINT_MS) continue;
    onTried(tried);
    await breath();
    if (past.run !== mine) return 'stopped';
    rested = performance.now();
  }
  return step.value;
};

/**
 * The one more box with which an account's carrier and the boxes take least; 'none' where none saves anything, null
 * where it was stopped.
 */
export const bestBox = async (
  past: PastOrders,
  packed: PackedOrders,
  { filter, accountId, limits, onTried }: BoxSearch,
): Promise<BoxFound | 'none' | null> => {
  const own = packed.packingOf(accountId);
  const { compiled } = past.opened;
  const { ask } = compiled;
  if (!own || !ask) return 'none';
  const all = await packed.all(filter, accountId, [own], () => undefined);
  if (!all) return null;
  const orders = all.flatMap(([one]) => one ?? []);
  const making = makingOf(own.boxes);
  const trialOf = (some: readonly PackedOrder[]): BoxTrial => new BoxTrial(compiled, accountId, some, ask);
  const whole = trialOf(orders);
  const apart = Math.ceil(orders.length / ENOUGH_ORDERS);
  const some = apart === 1 ? whole : trialOf(orders.filter((_, which) => which % apart === 0));
  const size = await searched(past, bestBoxOver({ some, all: whole }, limits, making), onTried);
  if (size === 'stopped') return null;
  if (!size) return 'none';
  const found = await withOneMore(past, accountId, orders, boxOfSize(size.inside, limits.maxWeight, making));
  const saves = found && takenBy(found.was) - takenBy(found.now);
  return saves !== null && saves <= 0 ? 'none' : found;
};
