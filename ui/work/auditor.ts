import { audit } from '../../core/audit/audit.ts';
import type { Book } from '../../core/model/book.ts';
import type { Erratum } from '../../core/model/erratum.ts';
import type { Catalogue } from '../../core/model/good.ts';
import { compile } from '../../core/quote/compile.ts';
import { withParts, type ShopParts } from './shop-parts.ts';

/** Audits a shop that is handed to it, beside the page. */
export interface Auditor {
  audit: (shop: ShopParts, on: string, onProgress: (share: number) => void) => Erratum[];
}

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
    return audit(compile(withParts({}, shop) as Book, shop.catalogue as Catalogue), on, tell);
  },
});
