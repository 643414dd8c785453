import type { Quote } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import { inParts } from './in-parts.ts';
import { mendKey, mendsOf, type Mend } from './mends.ts';
import { countsFrom } from './nearby-places.ts';

/** How many units are ordered. */
export const unitsOf = ({ lines }: QuoteRequest): number =>
  lines.reduce((sum, { quantity }) => sum + quantity, 0);

/** Whether an order is of one unit of one good, without a discount. */
export const isOneUnit = (request: QuoteRequest): boolean =>
  request.discount === undefined && request.lines.length === 1 && unitsOf(request) === 1;

/** The products of an order, as one text. */
export const skusOf = ({ lines }: QuoteRequest): string => lines.map(({ sku }) => sku).join(' ');

/** Tells orders apart by their goods and by all that was refused. */
export const refusalKey = (request: QuoteRequest, { withheld }: Quote): string => {
  const refusals = withheld.map(({ id, code, from }) => `${id} ${code} ${from.kind} ${from.id}`);
  return `${skusOf(request)}|${refusals.join('|')}`;
};

/** Whether an order has a choice that counts for where it goes. */
export const hasChoice = (compiled: CompiledBook, request: QuoteRequest): boolean => {
  const country = request.destination?.country ?? '';
  return quote(compiled, request).choices.some((choice) => countsFrom(compiled, choice, country));
};

/** An order that nothing takes, and what was worked out of it: that holds as long as the rules it may meet and its goods do. */
export class Refused {
  #mends: readonly Mend[] | null = null;
  #parts: string | null | undefined = undefined;
  readonly #restored = new Map<string, boolean>();

  constructor(
    readonly request: QuoteRequest,
    readonly quoted: Quote,
  ) {}

  /** The rules that its refusals name, in the order in which causes are looked for. */
  mends(compiled: CompiledBook): readonly Mend[] {
    this.#mends ??= mendsOf(compiled, this.request, this.quoted);
    return this.#mends;
  }

  /** Whether it has a choice once some rules are mended; `mended` gives the shop as it then is. */
  isRestoredBy(mends: readonly Mend[], mended: (mends: readonly Mend[]) => CompiledBook): boolean {
    const key = mends.map(mendKey).join('|');
    const known = this.#restored.get(key) ?? hasChoice(mended(mends), this.request);
    this.#restored.set(key, known);
    return known;
  }

  /** How it can be had in parts; null where it cannot. */
  parts(compiled: CompiledBook): string | null {
    if (this.#parts === undefined) this.#parts = inParts(compiled, this.request);
    return this.#parts;
  }
}
