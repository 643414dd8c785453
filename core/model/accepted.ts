import { z } from 'zod';
import type { Book } from './book.ts';
import type { Problem } from './problem.ts';
import type { Catalogue } from './good.ts';
import { inShort } from './in-short.ts';
import { nameSchema, noteSchema } from './unit.ts';

/** A problem that the merchant accepts, with a note why; it holds as long as its rules and what it reaches stay as they are. */
export const acceptedSchema = z.strictObject({
  code: nameSchema,
  /** The rule that is its cause, as 'rate:parcel-north'; of earlier versions all its rules, set apart by blanks. */
  where: z.string().min(1).max(2_000),
  note: noteSchema,
  /** What its rules were, which goods and which places it reached, in short. */
  print: z.string().max(80),
});
export type Accepted = z.infer<typeof acceptedSchema>;
export const acceptedListSchema = z.array(acceptedSchema).max(5_000);

/** The rule that is the cause of a problem, as one text. */
export const causeKey = ({ where: [cause] }: Pick<Problem, 'where'>): string =>
  cause ? `${cause.kind}:${cause.id}` : '';

/** What tells a problem from others of its book. */
export const problemKey = (problem: Pick<Problem, 'code' | 'where'>): string =>
  `${problem.code} ${causeKey(problem)}`;

const byId = <T extends { id: string }>(list: readonly T[], id: string): T | undefined =>
  list.find((one) => one.id === id);

/** What one of a problem's rules says, with what decides together with it: the rates of a zone, the row of a table. */
const ruleAt = ({ kind, id: whole }: Problem['where'][number], book: Book, { goods }: Catalogue): unknown => {
  const [id = '', part] = whole.split(':');
  switch (kind) {
    case 'rate':
      return byId(book.rates, id);
    case 'zone':
      return [byId(book.zones, id), book.rates.filter(({ zoneId }) => zoneId === id), book.groups];
    case 'adjustment':
      return byId(book.adjustments, id);
    case 'table':
      return byId(book.rateTables, id)?.rows[Number(part) - 1];
    case 'group':
      return byId(book.groups, id);
    case 'location':
      return byId(book.locations, id);
    case 'area':
      return byId(book.areas, id);
    case 'pickup':
      return byId(book.pickups, id);
    case 'carrier':
      return byId(book.carriers, id);
    case 'service':
      return [byId(book.services, id), book.rates.filter(({ serviceId }) => serviceId === id)];
    case 'box':
      return byId(book.boxes, id);
    case 'good':
      return goods.find(({ sku }) => sku === whole);
    case 'postal':
      return book.postalList.filter(({ country, pattern }) => `${country}:${pattern}` === whole);
    default:
      return [book.store.rounding, book.store.sellsTo, book.store.unlistedPostalCodes];
  }
};

/** The rules of a problem and what it reaches in short, so that it comes back when one of them changes. */
export const printOf = (
  { where, goods = [], places = [] }: Pick<Problem, 'where' | 'goods' | 'places'>,
  book: Book,
  catalogue: Catalogue,
): string =>
  inShort(
    JSON.stringify([where.map((one) => ruleAt(one, book, catalogue)), [...goods].sort(), [...places].sort()]),
  );

/** The acceptance of a problem, or null where there is none or its rules have changed since. */
export const acceptanceOf = (
  problem: Problem,
  accepted: readonly Accepted[],
  book: Book,
  catalogue: Catalogue,
): Accepted | null => {
  const key = causeKey(problem);
  const found = accepted.find(({ code, where }) => code === problem.code && where === key);
  return found && found.print === printOf(problem, book, catalogue) ? found : null;
};
