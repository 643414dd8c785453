import type { Destination } from '../core/model/place.ts';
import { answersAtOnce } from '../carriers/stand-ins.ts';
import type { Choice, Quote } from '../core/model/quote.ts';
import type { QuoteRequest } from '../core/model/request.ts';
import { metresBetween } from '../core/place/distance.ts';
import { estimatedCost } from '../core/costs/estimated-cost.ts';
import { compile } from '../core/quote/compile.ts';
import { quote } from '../core/quote/quote.ts';
import { seeded } from '../core/seeded.ts';
import { demoBook } from './book.ts';
import { demoCatalogue } from './goods.ts';
import type { OrderRow, OrdersFile } from './past-orders.ts';
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

const COUNT = 4_000;
const DAYS = 364;
/** The newest order of the list; the program moves all of them so that it is today's. */
const NEWEST = Date.UTC(2026, 10, 24, 17, 0);
const MINUTE_MS = 60_000;
const DAY_MINUTES = 1_440;
/** Of the newest so many the numbers go on; those before them are of the shop's paper book, under W. */
const NUMBERED = 600;
const FIRST_NUMBER = 388;

/** How much is bought in each month, January first: a nursery sells in spring, and before the holidays. */
const SEASON = [4, 5, 10, 16, 18, 13, 8, 7, 9, 10, 9, 6];

const pick = <T>(dice: () => number, list: readonly T[]): T => list[Math.floor(dice() * list.length)] as T;

const pickPlace = (dice: () => number): number => {
  let left = dice() * PLACES.reduce((sum, [weight]) => sum + weight, 0);
  const found = PLACES.findIndex(([weight]) => (left -= weight) < 0);
  return Math.max(found, 0);
};

const compiled = compile(demoBook, demoCatalogue, answersAtOnce);
const sold = demoCatalogue.goods.filter(({ fulfilment }) => fulfilment === 'physical');

const basket = (dice: () => number): { sku: string; quantity: number }[] => {
  const lines = new Map<string, number>();
  const count = 1 + Math.floor(dice() ** 1.6 * 3);
  for (let at = 0; at < count; at += 1) lines.set(pick(dice, sold).sku, 1 + Math.floor(dice() ** 3 * 4));
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

/** What handing an order over at the counter, and bringing it round, takes of the shop's time; minor units. */
const COLLECTED = 60;
const BROUGHT = 540;
/** A letter costs more than the shop thinks: postage and a padded envelope. */
const POSTED = 265;
/** What the shop's contract leaves of the price a carrier asks of anybody. */
const CONTRACT = 0.48;
/** The ferry to Newfoundland, and the road beyond it, that the carriers bill afterwards. */
const FERRY = 1.9;

/** What an order took: what the carrier asks for its parcels, a little more or less as it was billed. */
const costOf = (dice: () => number, request: QuoteRequest, choice: Choice): number | null => {
  const swing = 0.92 + dice() * 0.16;
  if (choice.kind === 'pickup') return COLLECTED;
  if (choice.kind === 'delivery') return Math.round(BROUGHT * swing);
  if (choice.name === 'Seed mail') return Math.round(POSTED * swing);
  if (dice() < 0.04) return null;
  if (choice.cost !== undefined) return Math.round(choice.cost * swing);
  const asked = estimatedCost(compiled, { request, chosen: choice });
  if (asked === null) return Math.round(Math.max(choice.charge, 900) * (0.7 + dice() * 0.4));
  return Math.round(asked * CONTRACT * swing * (request.destination?.subdivision === 'CA-NL' ? FERRY : 1));
};

/** How many days ago each order was placed, the longest ago first, as the season has it. */
const daysAgoOf = (dice: () => number, count: number): number[] => {
  const month = (daysAgo: number): number =>
    new Date(NEWEST - daysAgo * DAY_MINUTES * MINUTE_MS).getUTCMonth();
  const most = Math.max(...SEASON);
  const days: number[] = [];
  while (days.length < count) {
    const daysAgo = dice() * DAYS;
    if (dice() * most < (SEASON[month(daysAgo)] ?? 0)) days.push(daysAgo);
  }
  return days.sort((a, b) => b - a);
};

type Chosen = OrdersFile['choices'][number];

/** Entries named by their place in a list that grows. */
class Listed {
  readonly choices: Chosen[] = [];
  readonly people: string[] = [];

  choice({ id, kind, of, name }: Choice): number {
    const known = this.choices.findIndex((one) => one.id === id);
    return known < 0 ? this.choices.push({ id, kind, of, name }) - 1 : known;
  }

  person(name: string): number {
    const known = this.people.indexOf(name);
    return known < 0 ? this.people.push(name) - 1 : known;
  }
}

const rowOf = (dice: () => number, listed: Listed, number: string, daysAgo: number): OrderRow | null => {
  const minutesAgo = Math.round(daysAgo * DAY_MINUTES);
  const place = pickPlace(dice);
  const destination = (PLACES[place] as (typeof PLACES)[number])[1];
  const isTrade = dice() < 0.12;
  const lines = basket(dice);
  const request: QuoteRequest = {
    ...{ destination, lines, channel: 'shopfront' },
    placedAt: new Date(NEWEST - minutesAgo * MINUTE_MS).toISOString(),
    ...(isTrade ? { customer: 'trade' } : {}),
  };
  const choice = chosen(dice, quote(compiled, request), destination);
  if (!choice) return null;
  return [
    number,
    minutesAgo,
    place,
    lines.map(({ sku, quantity }) => `${quantity} ${sku}`).join(', '),
    isTrade ? 1 : 0,
    listed.choice(choice),
    thenCharge(choice.charge, daysAgo),
    costOf(dice, request, choice),
    listed.person(`${pick(dice, FIRST)} ${pick(dice, LAST)}`),
  ];
};

const numberOf = (at: number): string =>
  at < COUNT - NUMBERED ? `W${at + 1}` : String(FIRST_NUMBER + at - (COUNT - NUMBERED));

/**
 * Made-up orders over twelve months, with what was charged and what the carrier took: 4,000, or the first so many
 * of them. Newfoundland costs more than it is charged, and letters too.
 */
export const demoOrdersFile = (count = COUNT): OrdersFile => {
  const dice = seeded(1_846);
  const listed = new Listed();
  const rows: OrderRow[] = [];
  for (const daysAgo of daysAgoOf(dice, COUNT)) {
    if (rows.length === count) break;
    // An order nobody could place is drawn again.
    for (let row: OrderRow | null = null; row === null;) {
      row = rowOf(dice, listed, numberOf(rows.length), daysAgo);
      if (row) rows.push(row);
    }
  }
  return {
    newest: new Date(NEWEST).toISOString(),
    places: PLACES.map(([, destination]) => destination),
    ...{ choices: listed.choices, people: listed.people, rows },
  };
};
