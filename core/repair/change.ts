import type { Book } from '../model/book.ts';
import type { Catalogue } from '../model/good.ts';

/** The parts of a shop that a repair changes. */
export interface Shop {
  book: Book;
  catalogue: Catalogue;
}

type Lists = Pick<
  Book,
  'zones' | 'rates' | 'rateTables' | 'areas' | 'pickups' | 'postalList' | 'adjustments' | 'groups'
>;
type ListName = keyof Lists;

/** One entry of a shop as it is to be: one that is not there yet is added, null takes it out. Plain data, so that it can be sent and kept. */
export type Change =
  | { [K in ListName]: { list: K; at: string; entry: Lists[K][number] | null } }[ListName]
  | { list: 'goods'; at: string; entry: Catalogue['goods'][number] }
  | { list: 'store'; entry: Book['store'] };

/** What an entry of a list is known by. */
export const entryKey = (entry: object): string => {
  if ('id' in entry) return String(entry.id);
  if ('sku' in entry) return String(entry.sku);
  return 'pattern' in entry && 'country' in entry ? `${String(entry.country)}:${String(entry.pattern)}` : '';
};

const withEntry = <T extends object>(list: readonly T[], at: string, entry: T | null): T[] => {
  const isThere = list.some((one) => entryKey(one) === at);
  if (!isThere) return entry ? [...list, entry] : [...list];
  return list.flatMap((one) => (entryKey(one) === at ? (entry ? [entry] : []) : [one]));
};

const withChange = ({ book, catalogue }: Shop, change: Change): Shop => {
  if (change.list === 'store') return { book: { ...book, store: change.entry }, catalogue };
  if (change.list === 'goods')
    return { book, catalogue: { ...catalogue, goods: withEntry(catalogue.goods, change.at, change.entry) } };
  const list = withEntry<object>(book[change.list], change.at, change.entry);
  return { book: { ...book, [change.list]: list }, catalogue };
};

/** A shop with some entries changed; the others stay what they were. */
export const withChanges = (shop: Shop, changes: readonly Change[]): Shop => changes.reduce(withChange, shop);
