import { z } from 'zod';
import { catalogueFaults, linkFaults, regionFaults } from './book-fault.ts';
import { bookSchema, type Book } from '../model/book.ts';
import { fault, type Fault } from '../model/fault.ts';
import { catalogueSchema, type Catalogue } from '../model/good.ts';
import { parseWith } from '../model/schema-fault.ts';
import { testOrdersSchema, type TestOrder } from '../model/test-order.ts';

/** What a draft consists of. */
interface Parts {
  book: Book;
  catalogue: Catalogue;
  testOrders: readonly TestOrder[];
}

type Lists<T> = readonly T[];

/** The entries of a list that were not in it before, by their identity. */
const fresh = <T>(before: Lists<T>, after: Lists<T>): T[] => {
  if (before === after) return [];
  const known = new Set(before);
  return after.filter((entry) => !known.has(entry));
};

/**
 * Whether each rate is in the cell in which one of the same id was, and all that rates name is as before: then only a
 * rate that is new can be wrong.
 */
const keepsCells = (before: Book, after: Book): boolean =>
  (['zones', 'services', 'rateTables', 'carriers'] as const).every((name) => before[name] === after[name]) &&
  before.rates.length === after.rates.length &&
  after.rates.every((rate, at) => {
    const was = before.rates[at];
    return (
      was === rate || (was?.id === rate.id && was.serviceId === rate.serviceId && was.zoneId === rate.zoneId)
    );
  });

/** A book that holds of its long lists only what is new in them. */
const lean = (before: Book, after: Book): Book => {
  const tables = new Map(before.rateTables.map((table) => [table.id, table.rows]));
  return {
    ...after,
    rates: keepsCells(before, after) ? fresh(before.rates, after.rates) : after.rates,
    rateTables: after.rateTables.map((table) => ({
      ...table,
      rows: fresh(tables.get(table.id) ?? [], table.rows),
    })),
    postalList: fresh(before.postalList, after.postalList),
  };
};

/** The same with only those zones, taxes, areas and adjustments that are new or changed. */
const regionsNew = (before: Book, after: Book): Book => ({
  ...after,
  zones: fresh(before.zones, after.zones),
  taxes: fresh(before.taxes, after.taxes),
  areas: fresh(before.areas, after.areas),
  adjustments: fresh(before.adjustments, after.adjustments),
});

const lengthFault = (path: string, length: number, limit: number): Fault[] =>
  length > limit ? [fault('too-long', path, { limit, of: 'array' })] : [];

const lengthOf = (schema: z.ZodType): number =>
  Number((schema._zod.bag as { maximum?: number }).maximum ?? Number.POSITIVE_INFINITY);

/** The schema's faults of a field: of a list only those of new entries, and of its length. */
const fieldFaults = (name: string, schema: z.ZodType, before: unknown, after: unknown): Fault[] => {
  if (before === after) return [];
  const at = (found: Fault): Fault => ({ ...found, path: `${name}.${found.path}` });
  if (!(schema instanceof z.ZodArray) || !Array.isArray(after) || !Array.isArray(before)) {
    const read = parseWith(schema, after);
    return read.ok ? [] : read.faults.map(at);
  }
  const element = schema.element as z.ZodType;
  const entries = fresh(before as unknown[], after as unknown[]).flatMap((entry) => {
    const read = parseWith(element, entry);
    return read.ok ? [] : read.faults.map(at);
  });
  return [...lengthFault(name, after.length, lengthOf(schema)), ...entries];
};

const shapeFaults = (schema: z.ZodObject, before: object, after: object): Fault[] =>
  Object.entries(schema.shape).flatMap(([name, field]) =>
    fieldFaults(name, field as z.ZodType, before[name as never], after[name as never]),
  );

const MOST_ROWS = 200_000;

/**
 * What a change made unsound: values that the schemas refuse, references to nothing, ids used twice. Only what is new is
 * read, so that it may be asked at every edit; what stood before is taken to be sound. Paths name the field, not the
 * place in a list.
 */
export const changedFaults = (before: Parts, after: Parts): Fault[] => {
  const book = before.book === after.book ? after.book : lean(before.book, after.book);
  const goods = { before: before.catalogue, after: after.catalogue };
  return [
    ...(book === after.book && before.book === after.book
      ? []
      : [
          ...shapeFaults(bookSchema, { ...before.book, postalList: [] }, book),
          ...lengthFault('postalList', after.book.postalList.length, MOST_ROWS),
          ...after.book.rateTables.flatMap(({ rows }) =>
            lengthFault('rateTables.rows', rows.length, MOST_ROWS),
          ),
          ...linkFaults(book),
          ...regionFaults(regionsNew(before.book, book)),
        ]),
    ...(goods.before === goods.after && before.book.groups === after.book.groups
      ? []
      : [
          ...shapeFaults(catalogueSchema, goods.before, goods.after),
          ...catalogueFaults(goods.after, after.book),
        ]),
    ...fieldFaults('testOrders', testOrdersSchema, before.testOrders, after.testOrders),
  ];
};
