import { useMemo, useState } from 'react';
import { gapsOf } from '../../../core/goods/gaps.ts';
import { goodsInView, type GoodsOrder, type GoodsView } from '../../../core/goods/sort.ts';
import type { Good } from '../../../core/model/good.ts';
import { selectCatalogue } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';

export interface Goods {
  all: readonly Good[];
  shown: readonly Good[];
  missing: number;
  view: GoodsView;
  setView: (changes: Partial<GoodsView>) => void;
  sortBy: (order: GoodsOrder) => void;
  chosen: ReadonlySet<string>;
  toggle: (sku: string, through: boolean) => void;
  toggleAll: () => void;
  clear: () => void;
}

const START: GoodsView = { find: '', only: 'all', groupId: null, order: 'listed', falling: false };

/** The stock numbers from one good to another as they are shown. */
const between = (shown: readonly Good[], from: string | null, to: string): string[] => {
  const start = shown.findIndex(({ sku }) => sku === from);
  const end = shown.findIndex(({ sku }) => sku === to);
  if (start < 0) return [to];
  return shown.slice(Math.min(start, end), Math.max(start, end) + 1).map(({ sku }) => sku);
};

const useChosen = (shown: readonly Good[]): Pick<Goods, 'chosen' | 'toggle' | 'toggleAll' | 'clear'> => {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [last, setLast] = useState<string | null>(null);
  return {
    chosen,
    clear: () => setChosen(new Set()),
    toggle: (sku, through) => {
      const next = new Set(chosen);
      const adds = !next.has(sku);
      for (const one of through ? between(shown, last, sku) : [sku]) {
        if (adds) next.add(one);
        else next.delete(one);
      }
      setLast(sku);
      setChosen(next);
    },
    toggleAll: () =>
      setChosen(shown.every(({ sku }) => chosen.has(sku)) ? new Set() : new Set(shown.map(({ sku }) => sku))),
  };
};

/**
 * The products as the page shows them: found, filtered, sorted, and those that are chosen. A good that was
 * shown stays while it is edited, although it no longer lacks what it was listed for.
 */
export const useGoods = (first: Pick<GoodsView, 'only' | 'groupId'>): Goods => {
  const { goods: all } = useAppSelector(selectCatalogue);
  const [view, setView] = useState<GoodsView>({ ...START, ...first });
  const skus = useMemo(
    () => goodsInView(all, view).map(({ sku }) => sku),
    // The list follows the view and the number of goods, so that no row jumps away while it is edited.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [view, all.length],
  );
  const bySku = useMemo(() => new Map(all.map((good) => [good.sku, good])), [all]);
  const shown = useMemo(
    () =>
      skus.flatMap((sku) => {
        const good = bySku.get(sku);
        return good ? [good] : [];
      }),
    [skus, bySku],
  );
  const missing = useMemo(() => all.filter((good) => gapsOf(good).length > 0).length, [all]);
  const choosing = useChosen(shown);
  return {
    all,
    shown,
    missing,
    view,
    setView: (changes) => setView({ ...view, ...changes }),
    sortBy: (order) =>
      setView(
        view.order === order && view.falling
          ? { ...view, order: 'listed', falling: false }
          : { ...view, order, falling: view.order === order },
      ),
    ...choosing,
  };
};
