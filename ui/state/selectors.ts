import { createSelector } from '@reduxjs/toolkit';
import type { Fault } from '../../core/model/fault.ts';
import type { Trial } from '../../core/model/trial.ts';
import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import { compile } from '../../core/quote/compile.ts';
import { requestFaults } from '../../core/quote/quote.ts';
import { closedZones } from '../../core/reach/closed-zones.ts';
import type { PastOrder } from '../../core/model/order.ts';
import { splitWithKnown } from './asked-split.ts';
import { quoteWithKnown, type AnswersState, type AskedQuote } from './answers.ts';
import { isDemoBook } from './demo.ts';
import type { DisplayFormat } from '../../core/words/figure.ts';
import type { RootState } from './store.ts';

/** What the trial gives, or what makes it unusable. */
export type SlipQuote = ({ ok: true } & AskedQuote) | { ok: false; faults: readonly Fault[] };

export const selectBook = (state: RootState): Book => state.draft.workbook.book;
export const selectCatalogue = (state: RootState): Catalogue => state.draft.workbook.catalogue;
export const selectTrials = (state: RootState): Trial[] => state.draft.workbook.trials;

/** The draft made ready for quotes. */
export const selectCompiled = createSelector([selectBook, selectCatalogue], compile);

/** How figures are written: the currency's decimals and the shop's units. */
export const selectDisplayFormat = createSelector([selectCompiled], (compiled): DisplayFormat => compiled.display);

/** The trial that the slip shows, and where it stands among the others. */
export const selectTrial = createSelector(
  [selectTrials, (state: RootState) => state.session.trialId],
  (trials, id): { trial: Trial | null; at: number; count: number } => {
    const found = trials.findIndex((trial) => trial.id === id);
    const at = found < 0 ? 0 : found;
    return { trial: trials[at] ?? null, at, count: trials.length };
  },
);

const quoteOf = (book: Book, catalogue: Catalogue, trial: Trial, known: AnswersState): SlipQuote => {
  const compiled = compile(book, catalogue);
  const faults = requestFaults(compiled, trial.request);
  return faults.length > 0
    ? { ok: false, faults }
    : { ok: true, ...quoteWithKnown(compiled, trial.request, known, trial.answers) };
};

const selectAnswers = (state: RootState): AnswersState => state.answers;

const selectOnlyTrial = (state: RootState): Trial | null => selectTrial(state).trial;

/** What the customer of the trial would be offered. */
export const selectSlip = createSelector(
  [selectBook, selectCatalogue, selectOnlyTrial, selectAnswers],
  (book, catalogue, trial, known) => (trial ? quoteOf(book, catalogue, trial, known) : null),
);

/** What the same customer was offered before the present change, or null where nothing is marked. */
export const selectSlipBefore = createSelector(
  [(state: RootState) => state.draft.before, selectBook, selectCatalogue, selectOnlyTrial, selectAnswers],
  (before, book, catalogue, trial, known) =>
    before && before !== book && trial ? quoteOf(before, catalogue, trial, known) : null,
);

/** The fewest parts in which the trial's basket could be had, where no one choice takes all of it. */
export const selectSplit = createSelector(
  [selectSlip, selectTrial, selectCompiled, (state: RootState) => state.answers],
  (slip, { trial }, compiled, known) =>
    slip?.ok && trial && slip.quote.choices.length === 0 && slip.pending.length === 0
      ? splitWithKnown(compiled, trial.request, known)
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

/** The goods by sku. */
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
