import { answersAtOnce } from '../../carriers/stand-ins.ts';
import { audit } from '../../core/audit/audit.ts';
import type { Book } from '../../core/model/book.ts';
import type { Erratum } from '../../core/model/erratum.ts';
import type { Catalogue } from '../../core/model/good.ts';
import { trialChanges, type TrialChange } from '../../core/publish/trial-changes.ts';
import { compile, type CompiledBook } from '../../core/quote/compile.ts';
import { replay, type Replay } from '../../core/replay/replay.ts';
import { withParts, type ShopParts } from './shop-parts.ts';

/** What publishing the draft in place of an edition would do to the trials and to past orders. */
export interface Comparison {
  trials: TrialChange[];
  replay: Replay;
}

/** Judges a shop that is handed to it, beside the page. */
export interface Auditor {
  audit: (shop: ShopParts, on: string, onProgress: (share: number) => void) => Erratum[];
  /** The shop against the one that is live. */
  compare: (shop: ShopParts, live: ShopParts) => Comparison;
}

const compiledOf = (shop: ShopParts): CompiledBook =>
  compile(withParts({}, shop) as Book, shop.catalogue as Catalogue, answersAtOnce);

/** How much further it must be before it is told. */
const STEP = 0.02;

/** It runs in a worker; tests run it where they are. */
export const makeAuditor = (): Auditor => ({
  audit: (shop, on, onProgress) => {
    let told = 0;
    const tell = (share: number): void => {
      if (share < told + STEP && share < 1) return;
      told = share;
      onProgress(share);
    };
    return audit(compiledOf(shop), on, tell);
  },
  compare: (shop, live) => {
    const [now, before] = [compiledOf(shop), compiledOf(live)];
    return {
      trials: trialChanges(before, now, shop.trials ?? []),
      replay: replay(now, before, shop.orders ?? []),
    };
  },
});
