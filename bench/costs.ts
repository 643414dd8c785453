import { answersAtOnce } from '../carriers/stand-ins.ts';
import { costedOrder } from '../core/costs/costed-order.ts';
import { leverValues } from '../core/costs/lever-range.ts';
import type { Lever } from '../core/costs/lever.ts';
import { leverOver } from '../core/costs/what-if.ts';
import { preparedOrder } from '../core/costs/what-if-orders.ts';
import type { PastOrder } from '../core/model/order.ts';
import { compile } from '../core/quote/compile.ts';
import { quote } from '../core/quote/quote.ts';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import file from '../demo/data/past-orders.json';
import { pastOrdersOf, type OrdersFile } from '../demo/past-orders.ts';
import { measure } from './measure.ts';

const ORDERS = 10_000;
const VALUES = 40;
const LEVERS: readonly (readonly [name: string, lever: Lever])[] = [
  ['a threshold', { kind: 'free-from', rateId: 'parcel-maritimes' }],
  ['a step', { kind: 'step', rateId: 'parcel-maritimes', at: 1 }],
  ['every rate raised', { kind: 'raise-percent', rateIds: demoBook.rates.map(({ id }) => id) }],
];

/** The demo's past orders, again and again. */
const orders = (): PastOrder[] => {
  const year = pastOrdersOf(file as unknown as OrdersFile);
  return Array.from({ length: ORDERS }, (_, at) => year[at % year.length] as PastOrder);
};

/** A lever over 10,000 orders at forty values, as a share of quoting each order forty times. */
export const benchCosts = async (
  expect: (name: string, reached: boolean, figure: string, target: string) => void,
): Promise<void> => {
  const compiled = compile(demoBook, demoCatalogue, answersAtOnce);
  const costed = orders().flatMap((order) => costedOrder(compiled, order) ?? []);
  const prepared = costed.flatMap((one) => preparedOrder(compiled, one) ?? []);
  const all = { compiled, goods: demoCatalogue.goods, orders: prepared };
  const requests = costed.map(({ order }) => order.request);
  const { median: whole } = await measure(() => {
    for (const request of requests) quote(compiled, request);
  });
  for (const [name, lever] of LEVERS) {
    const values = leverValues(demoBook, lever, costed).slice(0, VALUES);
    const { median } = await measure(() => leverOver(all, lever).at(values));
    const curve = (median / values.length) * VALUES;
    const share = curve / (whole * VALUES);
    expect(
      `What if, ${name}: 10,000 orders at 40 values`,
      curve < 2_000 && share <= 0.25,
      `${Math.round(curve)} ms, ${share.toFixed(3)}`,
      'under 2 s, and 0.25 of quoting each order 40 times',
    );
  }
};
