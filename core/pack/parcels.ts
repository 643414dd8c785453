import type { Refusal } from '../basket/limits.ts';
import type { BasketLine } from '../basket/basket.ts';
import { boxesRefusal, countParcels, pack, type Packed } from './pack.ts';
import type { Packing } from './packing.ts';
import { singleParcelCount } from './single.ts';

/** The parcels of one basket, packed when they are first asked for. */
export class Parcels {
  private packed: Packed | null = null;

  constructor(
    private readonly packing: Packing,
    private readonly lines: readonly BasketLine[],
    private readonly defaultWeight: number | undefined,
  ) {}

  all(): Packed {
    this.packed ??= pack(this.packing, this.lines, this.defaultWeight);
    return this.packed;
  }

  /** Why the basket cannot be packed, or null; boxes are not filled for it. */
  refusal(): Refusal | null {
    if (this.packing.plan.kind === 'boxes') return boxesRefusal(this.packing, this.lines, this.defaultWeight);
    const packed = this.all();
    return packed.ok ? null : packed.refusal;
  }

  /** How many there are, or why that cannot be said. */
  count(): number | Refusal {
    if (this.packing.plan.kind === 'single') return singleParcelCount(this.lines);
    const packed = this.all();
    return packed.ok ? countParcels(packed.runs) : packed.refusal;
  }
}
