import type { Parcel, Quote } from '../model/quote.ts';
import { listParcels } from '../pack/list.ts';
import type { Basket } from '../basket/basket.ts';
import type { CompiledBook } from './compile.ts';

/** What a quote says beside its parcels. */
export type QuoteParts = Omit<Quote, 'parcels'>;

/** A quote whose parcels are packed when they are first read: most readers look at the choices only. */
export class Quoted implements Quote {
  readonly currency: string;
  readonly subtotal: number;
  readonly goodsTax: number;
  readonly zone: Quote['zone'];
  readonly choices: Quote['choices'];
  readonly withheld: Quote['withheld'];
  readonly notices: Quote['notices'];
  #parcels: Parcel[] | null = null;

  constructor(
    private readonly compiled: CompiledBook,
    private readonly basket: Basket,
    parts: QuoteParts,
  ) {
    this.currency = parts.currency;
    this.subtotal = parts.subtotal;
    this.goodsTax = parts.goodsTax;
    this.zone = parts.zone;
    this.choices = parts.choices;
    this.withheld = parts.withheld;
    this.notices = parts.notices;
  }

  get parcels(): Parcel[] {
    const { packing, book } = this.compiled;
    return (this.#parcels ??= listParcels(packing, this.basket.physical, book.store.defaultWeight));
  }

  toJSON(): Quote {
    const { currency, subtotal, goodsTax, zone, parcels, choices, withheld, notices } = this;
    return { currency, subtotal, goodsTax, zone, parcels, choices, withheld, notices };
  }
}
