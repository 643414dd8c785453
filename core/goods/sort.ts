import type { Good } from '../model/good.ts';
import { gapsOf } from './gaps.ts';

export type GoodsOrder = 'listed' | 'name' | 'sku' | 'price' | 'weight' | 'size';

export interface GoodsView {
  /** Words that must each stand in the name or the stock number. */
  find: string;
  only: 'all' | 'missing';
  /** Those of one handling group alone; null for all. */
  groupId: string | null;
  order: GoodsOrder;
  falling: boolean;
}

const volumeOf = ({ size }: Good): number | undefined => size && size.length * size.width * size.height;

const figureOf: Record<'price' | 'weight' | 'size', (good: Good) => number | undefined> = {
  price: ({ price }) => price,
  weight: ({ weight }) => weight,
  size: volumeOf,
};

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** What is unknown comes last, whichever way the rest is sorted. */
const compareBy = (order: GoodsOrder, falling: boolean): ((a: Good, b: Good) => number) => {
  const sign = falling ? -1 : 1;
  if (order === 'name' || order === 'sku') return (a, b) => sign * collator.compare(a[order], b[order]);
  if (order === 'listed') return () => 0;
  const figure = figureOf[order];
  return (a, b) => {
    const [left, right] = [figure(a), figure(b)];
    if (left === undefined || right === undefined)
      return Number(left === undefined) - Number(right === undefined);
    return sign * (left - right);
  };
};

/** The products that a view shows, in its order; goods that are alike in it stay as they are listed. */
export const goodsInView = (goods: readonly Good[], view: GoodsView): Good[] => {
  const words = view.find.toLocaleLowerCase('en').split(/\s+/).filter(Boolean);
  const shown = goods.filter((good) => {
    if (view.only === 'missing' && gapsOf(good).length === 0) return false;
    if (view.groupId !== null && !good.groupIds?.includes(view.groupId)) return false;
    const text = `${good.name} ${good.sku}`.toLocaleLowerCase('en');
    return words.every((word) => text.includes(word));
  });
  if (view.order !== 'listed') return shown.sort(compareBy(view.order, view.falling));
  return view.falling ? shown.reverse() : shown;
};
