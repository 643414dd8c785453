import { proxy, wrap, type Remote } from 'comlink';
import { workerLanguage } from '../language/chosen-language.ts';
import type { AuditProgress } from '../../core/audit/audit.ts';
import type { PriceSpan } from '../../core/delivery-page/price-key.ts';
import type { Problem } from '../../core/model/problem.ts';
import type { TestOrder } from '../../core/model/test-order.ts';
import type { TriedRepair } from '../../core/repair/tried-repairs.ts';
import { regionNames } from '../places/places.ts';
import type { RootState } from '../state/store.ts';
import type { Auditor, Comparison, PricedOrder } from './auditor.ts';
import { changedParts, heldOf, NOTHING_HELD, type Held } from './changed-parts.ts';
import type { ShopParts } from './shop-parts.ts';

/** An audit beside the page. */
export interface AuditWork {
  /** What it found; null where it was stopped, or another was begun. */
  problems: Promise<Problem[] | null>;
  stop: () => void;
}

const newWorker = (): Worker =>
  new Worker(new URL('./auditor.worker.ts', window.location.href), { name: workerLanguage() });

type OnProgress = (progress: AuditProgress) => void;

/** An audit of the draft that runs, with all who wait for it. */
interface Running {
  held: Held;
  on: string;
  problems: Promise<Problem[] | null>;
  waiting: Set<OnProgress>;
}

/** The worker that audits the draft again and again, and what of the shop it holds. */
interface Desk {
  worker: Worker;
  auditor: Remote<Auditor>;
  held: Held;
  /** Whether it knows what regions are called. */
  hasNames: boolean;
  running: Running | null;
}

let desk: Desk | null = null;

const openDesk = (): Desk => {
  const worker = newWorker();
  return { worker, auditor: wrap<Auditor>(worker), held: NOTHING_HELD, hasNames: false, running: null };
};

const begin = (at: Desk, state: RootState, on: string): Running => {
  const { orders: _, testOrders: __, ...parts } = changedParts(state, at.held);
  at.held = heldOf(state);
  const names = at.hasNames ? null : regionNames();
  at.hasNames ||= names !== null;
  const waiting = new Set<OnProgress>();
  const tell: OnProgress = (progress) => waiting.forEach((one) => one(progress));
  const problems = at.auditor
    .audit({ ...parts, ...(names && { regionNames: names }) }, on, proxy(tell))
    .catch((error: unknown) => {
      at.worker.terminate();
      if (desk === at) desk = null;
      throw error;
    });
  const running = { held: at.held, on, problems, waiting };
  const end = (): void => {
    if (at.running === running) at.running = null;
  };
  problems.then(end, end);
  return running;
};

const isOf = (running: Running | null, { draft: { workbook } }: RootState, on: string): running is Running =>
  running?.on === on && running.held.book === workbook.book && running.held.catalogue === workbook.catalogue;

/** Audits the draft, judging again only what was edited since the last time; who asks while it is audited gets that audit. */
export const auditDraft = (state: RootState, on: string, onProgress: OnProgress): AuditWork => {
  const at = (desk ??= openDesk());
  const running = isOf(at.running, state, on) ? at.running : begin(at, state, on);
  at.running = running;
  running.waiting.add(onProgress);
  const stop = (): void => {
    running.waiting.delete(onProgress);
    if (running.waiting.size > 0 || at.running !== running) return;
    at.running = null;
    void at.auditor.stop();
  };
  return { problems: running.problems, stop };
};

/** The repairs of a fault that work, tried on the draft as it was audited last; null where it was edited on the way. */
export const repairsOf = async (problem: Problem, testOrders: TestOrder[]): Promise<TriedRepair[] | null> =>
  desk && !desk.running ? desk.auditor.repairs(problem, testOrders) : null;

/** Audits a shop once, in a worker of its own. */
export const auditOnce = (shop: ShopParts, on: string): AuditWork => {
  const worker = newWorker();
  const problems = wrap<Auditor>(worker)
    .audit(
      shop,
      on,
      proxy(() => undefined),
    )
    .finally(() => worker.terminate());
  return { problems, stop: () => worker.terminate() };
};

/** What each way to get an order of a shop costs, in a worker of its own, ended when it is done. */
export const startPricing = (
  shop: ShopParts,
  order: PricedOrder,
): { prices: Promise<ReadonlyMap<string, PriceSpan>>; stop: () => void } => {
  const worker = newWorker();
  const prices = wrap<Auditor>(worker)
    .prices(shop, order)
    .finally(() => worker.terminate());
  return { prices, stop: () => worker.terminate() };
};

/** The ids of a shop's test orders that get what they should, found in a worker of its own. */
export const keptTestOrders = (shop: ShopParts): Promise<string[]> => {
  const worker = newWorker();
  return wrap<Auditor>(worker)
    .keptTestOrders(shop)
    .finally(() => worker.terminate());
};

/** A comparison in a worker of its own, ended when it is done. */
export const startComparison = (
  shop: ShopParts,
  live: ShopParts,
  onProgress: (done: number, of: number) => void,
): { compared: Promise<Comparison>; stop: () => void } => {
  const worker = newWorker();
  const compared = wrap<Auditor>(worker)
    .compare(shop, live, proxy(onProgress))
    .finally(() => worker.terminate());
  return { compared, stop: () => worker.terminate() };
};
