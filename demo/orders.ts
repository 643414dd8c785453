import type { Destination } from '../core/model/place.ts';
import type { PastOrder } from '../core/model/order.ts';
import { answersAtOnce } from '../carriers/stand-ins.ts';
import type { Choice, Quote } from '../core/model/quote.ts';
import { metresBetween } from '../core/place/distance.ts';
import { compile } from '../core/quote/compile.ts';
import { quote } from '../core/quote/quote.ts';
import { seeded } from '../core/seeded.ts';
import { demoBook } from './book.ts';
import { demoCatalogue } from './goods.ts';
import { to } from './places.ts';

/** Where the orders go: near places oftener than far ones. */
const PLACES: [weight: number, destination: Destination][] = [
  [16, to('CA', 'CA-NS', 'B3H 2Y9', 'Halifax')],
  [12, to('CA', 'CA-NS', 'B2Y 1N4', 'Dartmouth')],
  [8, to('CA', 'CA-NS', 'B2G 2L2', 'Antigonish')],
  [6, to('CA', 'CA-NS', 'B1P 6K1', 'Sydney')],
  [8, to('CA', 'CA-NB', 'E1C 1A1', 'Moncton')],
  [5, to('CA', 'CA-PE', 'C1A 4P3', 'Charlottetown')],
  [5, to('CA', 'CA-NL', 'A1C 1A1', 'St. John’s')],
  [10, to('CA', 'CA-ON', 'M5V 1J1', 'Toronto')],
  [5, to('CA', 'CA-QC', 'H2X 1Y4', 'Montréal')],
  [4, to('CA', 'CA-BC', 'V6B 1A1', 'Vancouver')],
  [3, to('CA', 'CA-AB', 'T2P 1J9', 'Calgary')],
  [2, to('CA', 'CA-MB', 'R3C 0V8', 'Winnipeg')],
  [1, to('CA', 'CA-YT', 'Y1A 1A1', 'Whitehorse')],
  [10, to('US', 'US-VT', '05401', 'Burlington')],
  [3, to('NL', null, '3511 AB', 'Utrecht')],
  [2, to('DE', null, '01067', 'Dresden')],
];

const FIRST = [
  'Ada',
  'Bram',
  'Celeste',
  'Dov',
  'Edda',
  'Finn',
  'Greta',
  'Hollis',
  'Ines',
  'Jonah',
  'Kaya',
  'Linus',
];
const LAST = ['Larch', 'Moss', 'Quill', 'Reed', 'Sorrel', 'Teasel', 'Vetch', 'Wren', 'Alder', 'Birch'];

const COUNT = 600;
const DAYS = 364;
/** The newest order of the list; the program moves all of them so that it is today's. */
const NEWEST = Date.UTC(2026, 10, 24, 17, 0);
const DAY_MS = 86_400_000;

const pick = <T>(dice: () => number, list: readonly T[]): T => list[Math.floor(dice() * list.length)] as T;

const pickPlace = (dice: () => number): Destination => {
  let left = dice() * PLACES.reduce((sum, [weight]) => sum + weight, 0);
  for (const [weight, destination] of PLACES) {
    left -= weight;
    if (left < 0) return destination;
  }
  return (PLACES[0] as (typeof PLACES)[number])[1];
};

const compiled = compile(demoBook, demoCatalogue, answersAtOnce);
const sold = demoCatalogue.goods.filter(({ fulfilment }) => fulfilment === 'physical');

const basket = (dice: () => number): { sku: string; quantity: number }[] => {
  const lines = new Map<string, number>();
  const count = 1 + Math.floor(dice() * 3);
  for (let at = 0; at < count; at += 1) lines.set(pick(dice, sold).sku, 1 + Math.floor(dice() ** 2 * 5));
  return [...lines].map(([sku, quantity]) => ({ sku, quantity }));
};

/** What was asked a year ago is a little less than what the book asks now: prices rose in the spring. */
const RISE_AT = 210;
const thenCharge = (charge: number, daysAgo: number): number =>
  daysAgo > RISE_AT ? Math.round((charge * 0.94) / 5) * 5 : charge;

const FAR_TO_COLLECT = 25_000;
const [nursery] = demoBook.locations;

const isNear = ({ point }: Destination): boolean =>
  point !== undefined &&
  nursery?.address.point !== undefined &&
  metresBetween(nursery.address.point, point) < FAR_TO_COLLECT;

/** Mostly the cheapest; of those nearby, some come and collect. */
const chosen = (dice: () => number, { choices }: Quote, destination: Destination): Choice | undefined => {
  const collects = isNear(destination) && dice() < 0.25;
  const apt = choices.filter(({ kind }) => (kind === 'pickup') === collects);
  const byCharge = [...apt].sort((a, b) => a.charge - b.charge);
  return dice() < 0.8 ? byCharge[0] : pick(dice, byCharge);
};

const orderOf = (dice: () => number, number: number, daysAgo: number): PastOrder | null => {
  const placedAt = new Date(NEWEST - Math.round(daysAgo * DAY_MS)).toISOString();
  const isTrade = dice() < 0.12;
  const request = {
    destination: pickPlace(dice),
    lines: basket(dice),
    placedAt,
    ...(isTrade ? { customer: 'trade' } : {}),
    channel: 'shopfront',
  };
  const choice = chosen(dice, quote(compiled, request), request.destination);
  if (!choice) return null;
  const { id, kind, of, name } = choice;
  const charge = thenCharge(choice.charge, daysAgo);
  return {
    number: String(number),
    request,
    chosen: { id, kind, of, name, charge, total: charge },
    cost:
      choice.kind === 'pickup'
        ? 60
        : (choice.cost ?? Math.round((choice.charge === 0 ? 900 : choice.charge) * (0.55 + dice() * 0.6))),
    payment: 'card',
    status: 'handed-over',
    history: [
      { status: 'placed', at: placedAt },
      { status: 'handed-over', at: new Date(Date.parse(placedAt) + DAY_MS).toISOString() },
    ],
    recipient: `${pick(dice, FIRST)} ${pick(dice, LAST)}`,
  };
};

/** Six hundred made-up orders over twelve months, with what was charged and what the carrier took. */
export const demoOrders = ((): PastOrder[] => {
  const dice = seeded(1_846);
  const orders: PastOrder[] = [];
  const first = 388;
  for (let tried = 0; orders.length < COUNT && tried < COUNT * 4; tried += 1) {
    const daysAgo = DAYS * (1 - (orders.length + dice()) / COUNT);
    const order = orderOf(dice, first + orders.length, Math.max(0, daysAgo));
    if (order) orders.push(order);
  }
  return orders;
})();
