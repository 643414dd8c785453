import { original } from 'immer';
import { raisedAmount, type Raise } from '../../../core/price/raise.ts';
import type { Good } from '../../../core/model/good.ts';
import type { Workbook } from '../workbook.ts';

type Changes = Partial<Omit<Good, 'sku'>>;

/** Where a good stands: looked up in the plain list, since a draft of thousands of goods is slow to walk. */
const placeOf = ({ catalogue }: Workbook, sku: string): number =>
  (original(catalogue) ?? catalogue).goods.findIndex((good) => good.sku === sku);

const change = (good: Good, changes: Changes): void => {
  for (const [field, value] of Object.entries(changes)) {
    if (value === undefined) delete good[field as keyof Changes];
    else Object.assign(good, { [field]: value });
  }
};

/** Changes to the goods. Each changes the workbook it is given, which is a draft of the state. */
export const goodEdits = {
  /** Some fields of one good; a field given as undefined is taken out. */
  setGood: (workbook: Workbook, { sku, changes }: { sku: string; changes: Changes }): void => {
    const good = workbook.catalogue.goods[placeOf(workbook, sku)];
    if (good) change(good, changes);
  },

  /** The same fields of many goods. */
  setGoods: ({ catalogue }: Workbook, { skus, changes }: { skus: string[]; changes: Changes }): void => {
    const chosen = new Set(skus);
    catalogue.goods.forEach((good) => {
      if (chosen.has(good.sku)) change(good, changes);
    });
  },

  raisePrices: ({ catalogue }: Workbook, { skus, raise }: { skus: string[]; raise: Raise }): void => {
    const chosen = new Set(skus);
    catalogue.goods.forEach((good) => {
      if (chosen.has(good.sku)) good.price = raisedAmount(good.price, raise);
    });
  },

  addGood: ({ catalogue }: Workbook, { good }: { good: Good }): void => {
    catalogue.goods.unshift(good);
  },

  /** Another stock number for a good; test orders that name it follow. */
  renumberGood: (workbook: Workbook, { sku, to }: { sku: string; to: string }): void => {
    const good = workbook.catalogue.goods[placeOf(workbook, sku)];
    if (!good) return;
    good.sku = to;
    for (const { request } of workbook.testOrders)
      for (const line of request.lines) if (line.sku === sku) line.sku = to;
  },

  removeGoods: ({ catalogue }: Workbook, { skus }: { skus: string[] }): void => {
    const gone = new Set(skus);
    catalogue.goods = catalogue.goods.filter((good) => !gone.has(good.sku));
  },

  replaceGoods: ({ catalogue }: Workbook, { goods }: { goods: Good[] }): void => {
    catalogue.goods = goods;
  },
};
