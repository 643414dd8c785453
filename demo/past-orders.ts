import type { Destination } from '../core/model/place.ts';
import type { PastOrder } from '../core/model/order.ts';

/** An order in a few figures: number, minutes before the newest, place, goods, whether trade, choice, charge, cost, person. */
export type OrderRow = [
  number: string,
  minutesAgo: number,
  place: number,
  goods: string,
  isTrade: 0 | 1,
  choice: number,
  charge: number,
  cost: number | null,
  person: number,
];

/** The made-up orders of a year in a small file: what many have alike stands once, and is named by its place. */
export interface OrdersFile {
  newest: string;
  places: Destination[];
  choices: Pick<PastOrder['chosen'], 'id' | 'kind' | 'of' | 'name'>[];
  people: string[];
  rows: OrderRow[];
}

const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;

/** '2 pot-26, 1 trowel' as lines. */
const linesOf = (goods: string): PastOrder['request']['lines'] =>
  goods.split(', ').map((part) => {
    const [quantity = '1', sku = ''] = part.split(' ');
    return { sku, quantity: Number(quantity) };
  });

const nth = <T>(list: readonly T[], at: number): T => {
  const one = list[at];
  if (one === undefined) throw new Error(`the file of past orders names entry ${at}, which it lacks`);
  return one;
};

/** The file with its orders moved by whole days, so that the newest were placed in the last day before an instant. */
export const movedUpTo = (file: OrdersFile, instant: string): OrdersFile => {
  const days = Math.floor((Date.parse(instant) - Date.parse(file.newest)) / DAY_MS);
  return { ...file, newest: new Date(Date.parse(file.newest) + days * DAY_MS).toISOString() };
};

/** The orders of the file, oldest first. */
export const pastOrdersOf = ({ newest, places, choices, people, rows }: OrdersFile): PastOrder[] =>
  rows.map(([number, minutesAgo, place, goods, isTrade, choice, charge, cost, person]) => {
    const at = Date.parse(newest) - minutesAgo * MINUTE_MS;
    const placedAt = new Date(at).toISOString();
    return {
      number,
      request: {
        destination: nth(places, place),
        lines: linesOf(goods),
        placedAt,
        ...(isTrade ? { customer: 'trade' } : {}),
        channel: 'shopfront',
      },
      chosen: { ...nth(choices, choice), charge, total: charge },
      ...(cost === null ? {} : { cost }),
      payment: 'card',
      status: 'handed-over',
      history: [
        { status: 'placed', at: placedAt },
        { status: 'handed-over', at: new Date(at + DAY_MS).toISOString() },
      ],
      recipient: nth(people, person),
    };
  });
