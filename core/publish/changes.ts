import type { Book } from '../model/book.ts';
import { LANGUAGES, type Language } from '../model/language.ts';
import type { PostalRule } from '../model/delivery.ts';
import type { Catalogue, Good } from '../model/good.ts';
import { storeSchema, type Store } from '../model/store.ts';

/** A book and its goods, as they are compared. */
export interface Side {
  book: Book;
  catalogue: Catalogue;
}

/** The lists of a book whose entries have ids, in the order in which their changes are told. */
const LISTS = [
  'zones',
  'services',
  'rates',
  'adjustments',
  'groups',
  'locations',
  'areas',
  'pickups',
  'taxes',
  'payments',
  'carriers',
  'boxes',
] as const;
export type ListName = (typeof LISTS)[number] | 'rateTables';

/** One entry of a list before and after: null where it was not there yet, or is there no more. */
interface Pair<T> {
  was: T | null;
  is: T | null;
}

/** An entry of one list that came (`was` is null), went (`is` is null) or changed. */
export interface EntryChange<L extends ListName> extends Pair<Book[L][number]> {
  of: L;
}

const ORDERED = ['zones', 'services', 'adjustments'] as const;

/** What changed between two states of the shop: what it was and what it is. */
export type BookChange =
  | { [L in ListName]: EntryChange<L> }[ListName]
  | { [F in keyof Store]-?: { of: 'store'; field: F; was: Store[F]; is: Store[F] } }[keyof Store]
  | { of: 'duties'; was: Book['duties']; is: Book['duties'] }
  /** The texts that read otherwise in a language. */
  | { of: 'translations'; language: Language; texts: string[] }
  | { of: 'postalList'; what: 'new' | 'gone' | 'changed'; lines: Pair<PostalRule>[] }
  | { of: 'order'; list: (typeof ORDERED)[number] }
  | ({ of: 'goods' } & Pair<Good>);

/** Whether two values hold the same; most are the same object. */
export const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/** The entries of a list that came, then those that went, then those that changed. */
const compared = <T>(before: readonly T[], after: readonly T[], keyOf: (entry: T) => string): Pair<T>[] => {
  const old = new Map(before.map((entry) => [keyOf(entry), entry]));
  const now = new Set(after.map(keyOf));
  return [
    ...after.filter((entry) => !old.has(keyOf(entry))).map((is) => ({ was: null, is })),
    ...before.filter((entry) => !now.has(keyOf(entry))).map((was) => ({ was, is: null })),
    ...after.flatMap((is) => {
      const was = old.get(keyOf(is));
      return was !== undefined && !same(was, is) ? [{ was, is }] : [];
    }),
  ];
};

const entryChanges = <L extends ListName>(of: L, before: Book, after: Book): EntryChange<L>[] =>
  compared<Book[L][number]>(before[of], after[of], ({ id }) => id).map((pair) => ({ of, ...pair }));

const storeChanges = (before: Store, after: Store): BookChange[] =>
  (Object.keys(storeSchema.shape) as (keyof Store)[])
    .filter((field) => !same(before[field], after[field]))
    .map((field) => ({ of: 'store', field, was: before[field], is: after[field] }) as BookChange);

const textsIn = ({ translations = [] }: Book, language: Language): Map<string, string> =>
  new Map(translations.filter((one) => one.language === language).map(({ text, as }) => [text, as]));

const translationChanges = (before: Book, after: Book): BookChange[] =>
  LANGUAGES.flatMap((language) => {
    const [was, is] = [textsIn(before, language), textsIn(after, language)];
    const texts = [...new Set([...was.keys(), ...is.keys()])].filter(
      (text) => was.get(text) !== is.get(text),
    );
    return texts.length === 0 ? [] : [{ of: 'translations' as const, language, texts }];
  });

const postalChanges = (before: readonly PostalRule[], after: readonly PostalRule[]): BookChange[] => {
  const lines = compared(before, after, ({ country, pattern }) => `${country} ${pattern}`);
  const whatOf = ({ was, is }: Pair<PostalRule>) => (!was ? 'new' : is ? 'changed' : 'gone');
  return (['new', 'gone', 'changed'] as const)
    .map((what) => ({
      of: 'postalList' as const,
      what,
      lines: lines.filter((line) => whatOf(line) === what),
    }))
    .filter((change) => change.lines.length > 0);
};

/** The lists in which what stayed stands in another order. */
const orderChanges = (before: Book, after: Book): BookChange[] => {
  const shared = (list: readonly { id: string }[], other: readonly { id: string }[]): string[] => {
    const there = new Set(other.map(({ id }) => id));
    return list.map(({ id }) => id).filter((id) => there.has(id));
  };
  return ORDERED.filter(
    (list) => !same(shared(before[list], after[list]), shared(after[list], before[list])),
  ).map((list) => ({ of: 'order', list }));
};

const goodsChanges = (before: readonly Good[], after: readonly Good[]): BookChange[] =>
  compared(before, after, ({ sku }) => sku).map((pair) => ({ of: 'goods', ...pair }));

/** What changed between two states of the shop, as data: nothing that differs is left out. */
export const bookChanges = (before: Side, after: Side): BookChange[] => {
  const [old, now] = [before.book, after.book];
  return [
    ...storeChanges(old.store, now.store),
    ...translationChanges(old, now),
    ...LISTS.flatMap((list) => entryChanges(list, old, now) as BookChange[]),
    ...(same(old.duties, now.duties) ? [] : [{ of: 'duties' as const, was: old.duties, is: now.duties }]),
    ...entryChanges('rateTables', old, now),
    ...postalChanges(old.postalList, now.postalList),
    ...orderChanges(old, now),
    ...(before.catalogue === after.catalogue
      ? []
      : goodsChanges(before.catalogue.goods, after.catalogue.goods)),
  ];
};
