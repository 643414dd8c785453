import { bookChanges, same, type BookChange } from './changes.ts';
import { nameOfRate } from './entry-words.ts';
import type { Shop } from '../formats/shop-file.ts';

/** What differs: a list of the book, its store or where it sells, products, test orders, or what is accepted. */
export type DifferenceKind = BookChange['of'] | 'sellsTo' | 'testOrders' | 'accepted';

/** How one kind of thing differs between two shops, by name; what is one thing only, as the store, has no names. */
export interface Difference {
  what: DifferenceKind;
  added: string[];
  removed: string[];
  changed: string[];
}

type How = 'added' | 'removed' | 'changed';

const howOf = ({ was, is }: { was: unknown; is: unknown }): How =>
  was === null ? 'added' : is === null ? 'removed' : 'changed';

const OF_POSTAL = { new: 'added', gone: 'removed', changed: 'changed' } as const;

/** What a change is told as: how its things differ, and what they are called. */
const toldAs = (change: BookChange, from: Shop, to: Shop): [DifferenceKind, How, string[]] => {
  if (change.of === 'store') return [change.field === 'sellsTo' ? 'sellsTo' : 'store', 'changed', []];
  if (change.of === 'duties') return ['duties', 'changed', []];
  if (change.of === 'translations') return ['translations', 'changed', change.texts];
  if (change.of === 'order') return ['order', 'changed', [change.list]];
  if (change.of === 'postalList')
    return [
      'postalList',
      OF_POSTAL[change.what],
      change.lines.flatMap(({ was, is }) => {
        const line = is ?? was;
        return line ? [`${line.country} ${line.pattern}`] : [];
      }),
    ];
  if (change.of === 'rates') {
    const rate = change.is ?? change.was;
    return ['rates', howOf(change), rate ? [nameOfRate(rate, { book: to.book, old: from.book })] : []];
  }
  return [change.of, howOf(change), [(change.is ?? change.was)?.name ?? '']];
};

const testOrderDifference = (from: Shop, to: Shop): [DifferenceKind, How, string[]][] => {
  const before = new Map(from.testOrders.map((one) => [one.id, one]));
  const after = new Set(to.testOrders.map(({ id }) => id));
  const names = (list: Shop['testOrders']): string[] => list.map(({ name }) => name);
  const changed = to.testOrders.filter((one) => before.has(one.id) && !same(before.get(one.id), one));
  return [
    ['testOrders', 'added', names(to.testOrders.filter(({ id }) => !before.has(id)))],
    ['testOrders', 'removed', names(from.testOrders.filter(({ id }) => !after.has(id)))],
    ['testOrders', 'changed', names(changed)],
  ];
};

/**
 * What would change if one shop took the place of another, kind by kind: nothing that differs is left out, and kinds
 * that are the same are not told.
 */
export const shopDifference = (from: Shop, to: Shop): Difference[] => {
  const found = new Map<DifferenceKind, Difference>();
  const add = ([what, how, names]: [DifferenceKind, How, string[]]): void => {
    const difference = found.get(what) ?? { what, added: [], removed: [], changed: [] };
    difference[how].push(...names);
    found.set(what, difference);
  };
  for (const change of bookChanges(from, to)) add(toldAs(change, from, to));
  for (const told of testOrderDifference(from, to)) if (told[2].length > 0) add(told);
  if (!same(from.accepted ?? [], to.accepted ?? [])) add(['accepted', 'changed', []]);
  return [...found.values()];
};
