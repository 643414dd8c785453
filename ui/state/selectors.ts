import { createSelector } from '@reduxjs/toolkit';
import type { Fault } from '../../core/model/fault.ts';
import type { TestOrder } from '../../core/model/test-order.ts';
import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import { closedZones } from '../../core/coverage/closed-zones.ts';
import { inTime } from '../../core/order/in-time.ts';
import type { PastOrder } from '../../core/model/order.ts';
import { splitWithKnown } from './asked-split.ts';
import { askedQuote, type AnswersState, type AskedQuote } from './answers.ts';
import { isDemoBook } from './demo.ts';
import type { DisplayFormat } from '../../core/words/figure.ts';
import type { RootState } from './store.ts';
import { compileShop } from './compiled-shop.ts';

/** What the test order gives, or what makes it unusable. */
export type PreviewQuote = ({ ok: true } & AskedQuote) | { ok: false; faults: readonly Fault[] };

export const selectBook = (state: RootState): Book => state.draft.workbook.book;
export const selectCatalogue = (state: RootState): Catalogue => state.draft.workbook.catalogue;
export const selectTestOrders = (state: RootState): TestOrder[] => state.draft.workbook.testOrders;

/** The draft made ready for quotes. */
export const selectCompiled = createSelector([selectBook, selectCatalogue], compileShop);

/** How figures are written: the currency's decimals and the shop's units. */
export const selectDisplayFormat = createSelector(
  [selectCompiled],
  (compiled): DisplayFormat => compiled.display,
);

/** The test order that the preview shows, and where it stands among the others. */
export const selectTestOrder = createSelector(
  [selectTestOrders, (state: RootState) => state.session.testOrderId],
  (testOrders, id): { testOrder: TestOrder | null; at: number; count: number } => {
    const found = testOrders.findIndex((testOrder) => testOrder.id === id);
    const at = found < 0 ? 0 : found;
    return { testOrder: testOrders[at] ?? null, at, count: testOrders.length };
  },
);

const quoteOf = (
  book: Book,
  catalogue: Catalogue,
  testOrder: TestOrder,
  known: AnswersState,
): PreviewQuote => {
  const { request, answers } = testOrder;
  const asked = askedQuote(compileShop(book, catalogue), request, known, answers);
  return asked.ok ? { ok: true, ...asked.value } : asked;
};

const selectAnswers = (state: RootState): AnswersState => state.answers;

const selectOnlyTestOrder = (state: RootState): TestOrder | null => selectTestOrder(state).testOrder;

/** What the customer of the test order would be offered. */
export const selectPreview = createSelector(
  [selectBook, selectCatalogue, selectOnlyTestOrder, selectAnswers],
  (book, catalogue, testOrder, known) => (testOrder ? quoteOf(book, catalogue, testOrder, known) : null),
);

/** What the same customer was offered before the present change, or null where nothing is marked. */
export const selectPreviewBefore = createSelector(
  [(state: RootState) => state.draft.before, selectBook, selectCatalogue, selectOnlyTestOrder, selectAnswers],
  (before, book, catalogue, testOrder, known) =>
    before && before !== book && testOrder ? quoteOf(before, catalogue, testOrder, known) : null,
);

/** The fewest parts in which the test order's basket could be had, where no one choice takes all of it. */
export const selectSplit = createSelector(
  [selectPreview, selectTestOrder, selectCompiled, (state: RootState) => state.answers],
  (preview, { testOrder }, compiled, known) =>
    preview?.ok && testOrder && preview.quote.choices.length === 0 && preview.pending.length === 0
      ? splitWithKnown(compiled, testOrder.request, known)
      : null,
);

/** The label of what undo and redo would do, or null. */
export const selectUndo = (state: RootState): string | null => state.draft.past.at(-1)?.label ?? null;
export const selectRedo = (state: RootState): string | null => state.draft.future.at(-1)?.label ?? null;

/** Each rate by its cell, 'service/zone'. */
export const selectRatesByCell = createSelector(
  [(state: RootState) => selectBook(state).rates],
  (rates) => new Map(rates.map((rate) => [`${rate.serviceId}/${rate.zoneId}`, rate])),
);

/** The zones that the shop sells nothing to. */
export const selectClosedZones = createSelector([selectBook], closedZones);

/** The products by sku. */
export const selectGoods = createSelector(
  [selectCatalogue],
  ({ goods }) => new Map(goods.map((good) => [good.sku, good])),
);

/** How many goods that travel have a price of their own for sending them, and how many have none. */
export const selectPricedGoods = createSelector([selectCatalogue], ({ goods }) => {
  const travelling = goods.filter(({ fulfilment, chargeFree }) => fulfilment === 'physical' && !chargeFree);
  const own = travelling.filter(({ shippingPrice }) => shippingPrice !== undefined).length;
  return { own, without: travelling.length - own };
});

/** How many goods each handling group has. */
export const selectGroupSizes = createSelector([selectCatalogue], ({ goods }) => {
  const sizes = new Map<string, number>();
  for (const id of goods.flatMap(({ groupIds }) => groupIds ?? [])) sizes.set(id, (sizes.get(id) ?? 0) + 1);
  return sizes as ReadonlyMap<string, number>;
});

/** The customer groups that some adjustment asks for. */
export const selectCustomerGroups = createSelector(
  [(state: RootState) => selectBook(state).adjustments],
  (adjustments) => [
    ...new Set(
      adjustments.flatMap(({ when }) =>
        when.flatMap((condition) => (condition.test === 'customer' ? condition.in : [])),
      ),
    ),
  ],
);

/** The orders that were placed, with the made-up ones of the demo shop as long as the book is its. */
export const selectPastOrders = createSelector(
  [
    (state: RootState) => state.orders,
    (state: RootState) => state.demoOrders,
    (state: RootState) => isDemoBook(selectBook(state)),
  ],
  (orders, demo, isDemo): PastOrder[] => {
    if (!isDemo || demo.length === 0) return orders;
    const own = new Set(orders.map(({ number }) => number));
    return [...demo.filter(({ number }) => !own.has(number)), ...orders];
  },
);

/** The same by the moment they were placed, oldest first. */
export const selectOrdersInTime = createSelector(selectPastOrders, inTime);
