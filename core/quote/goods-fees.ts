import type { BasketLine } from '../basket/basket.ts';
import { NO_ENTRIES } from '../price/entries.ts';
import type { Entries, Entry } from '../price/price-kind.ts';

/** The fees of the products that have one, once for their line; the same in each of an order's charges. */
export const goodsFeesOf = (lines: readonly BasketLine[]): Entries => {
  let entries: Entry[] | null = null;
  for (const { good } of lines) {
    if (!good.onceFee) continue;
    const say = { code: 'once-fee', good: good.name, amount: good.onceFee } as const;
    (entries ??= []).push({ change: good.onceFee, from: { kind: 'good', id: good.sku }, say });
  }
  return entries ? { ok: true, entries } : NO_ENTRIES;
};
