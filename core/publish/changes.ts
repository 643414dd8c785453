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

/** An entry of one list that came (`was` is null), went (`is` is null) or changed. */
export interface EntryChange<L extends ListName> {
  of: L;
  was: Book[L][number] | null;
  is: Book[L][number] | null;
}

const ORDERED = ['zones', 'services', 'adjustments'] as const;

/** What changed between two states of the shop: what it was and what it is. */
export type BookChange =
  | { [L in ListName]: EntryChange<L> }[ListName]
  | { [F in keyof Store]-?: { of: 'store'; field: F; was: Store[F]; is: Store[F] } }[keyof Store]
  | { of: 'duties'; was: Book['duties']; is: Book['duties'] }
  /** The texts that read otherwise in a language. */
  | { of: 'translations'; language: Language; texts: string[] }
  | { of: 'postalList'; what: 'new' | 'gone' | 'changed'; lines: { was: PostalRule; is: PostalRule }[] }
  | { of: 'order'; list: (typeof ORDERED)[number] }
  | { of: 'goods'; was: Good | null; is: Good | null };

/** Whether two values hold the same; most are the same object. */
export const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/** The entries of a list that came, then those that went, then those that changed. */
const entryChanges = <L extends ListName>(of: L, before: Book, after: Book): EntryChange<L>[] => {
  type Entry = Book[L][number];
  const [was, is] = [before[of] as readonly Entry[], after[of] as readonly Entry[]];
  const old = new Map(was.map((entry) => [entry.id, entry]));
  const now = new Set(is.map(({ id }) => id));
  return [
    ...is.filter(({ id }) => !old.has(id)).map((entry) => ({ of, was: null, is: entry })),
    ...was.filter(({ id }) => !now.has(id)).map((entry) => ({ of, was: entry, is: null })),
    ...is.flatMap((entry) => {
      const before = old.get(entry.id);
      return before && !same(before, entry) ? [{ of, was: before, is: entry }] : [];
    }),
  ];
};

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
  const keyOf = ({ country, pattern }: PostalRule): string => `${country} ${pattern}`;
  const old = new Map(before.map((line) => [keyOf(line), line]));
  const now = new Set(after.map(keyOf));
  const alike = (line: PostalRule) => ({ was: line, is: line });
  const lines = {
    new: after.filter((line) => !old.has(keyOf(line))).map(alike),
    gone: before.filter((line) => !now.has(keyOf(line))).map(alike),
    changed: after.flatMap((is) => {
      const was = old.get(keyOf(is));
      return was && !same(was, is) ? [{ was, is }] : [];
    }),
  };
  return (['new', 'gone', 'changed'] as const)
    .filter((what) => lines[what].length > 0)
    .map((what) => ({ of: 'postalList', what, lines: lines[what] }));
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

/** The products that came, went and changed, by their sku. */
const goodsChanges = (before: readonly Good[], after: readonly Good[]): BookChange[] => {
  const old = new Map(before.map((good) => [good.sku, good]));
  const now = new Set(after.map(({ sku }) => sku));
  const of = 'goods' as const;
  return [
    ...after.filter(({ sku }) => !old.has(sku)).map((is) => ({ of, was: null, is })),
    ...before.filter(({ sku }) => !now.has(sku)).map((was) => ({ of, was, is: null })),
    ...after.flatMap((is) => {
      const was = old.get(is.sku);
      return was && !same(was, is) ? [{ of, was, is }] : [];
    }),
  ];
};

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
