import { proxy, wrap } from 'comlink';
import type { Erratum } from '../../core/model/erratum.ts';
import type { Auditor, Comparison } from './auditor.ts';
import type { ShopParts } from './shop-parts.ts';

/** An audit in a worker of its own; to stop it is to end the worker. */
export interface AuditWork {
  errata: Promise<Erratum[]>;
  stop: () => void;
}

export const startAudit = (shop: ShopParts, on: string, onProgress: (share: number) => void): AuditWork => {
  const worker = new Worker(new URL('./auditor.worker.ts', window.location.href));
  const errata = wrap<Auditor>(worker)
    .audit(shop, on, proxy(onProgress))
    .finally(() => worker.terminate());
  return { errata, stop: () => worker.terminate() };
};

/** A comparison in a worker of its own, ended when it is done. */
export const startComparison = (
  shop: ShopParts,
  live: ShopParts,
): { compared: Promise<Comparison>; stop: () => void } => {
  const worker = new Worker(new URL('./auditor.worker.ts', window.location.href));
  const compared = wrap<Auditor>(worker)
    .compare(shop, live)
    .finally(() => worker.terminate());
  return { compared, stop: () => worker.terminate() };
};
