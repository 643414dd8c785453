import type { Book } from '../core/model/book.ts';
import type { Catalogue } from '../core/model/good.ts';
import type { Destination } from '../core/model/place.ts';
import type { OrderStatus, PastOrder } from '../core/model/order.ts';
import { placeOrder } from '../core/order/place-order.ts';
import { slotsTaken } from '../core/time/slots-taken.ts';
import { compile } from '../core/quote/compile.ts';
import { quote } from '../core/quote/quote.ts';

interface Recipe {
  recipient: string;
  destination: Destination;
  goods: Record<string, number>;
  /** The choice that is taken; its first time on or after today, or so many later. */
  choiceId: string;
  later?: number;
  /** Hours before now that it was placed. */
  ago: number;
  states: readonly OrderStatus[];
}

const near = (
  postalCode: string,
  street: string,
  lat: number,
  lng: number,
  city = 'Halifax',
): Destination => ({
  country: 'CA',
  subdivision: 'CA-NS',
  postalCode,
  city,
  lines: [street],
  point: { lat, lng },
});
const far = (subdivision: string, postalCode: string, city: string, street: string): Destination => ({
  country: 'CA',
  subdivision,
  postalCode,
  city,
  lines: [street],
});

const RECIPES: readonly Recipe[] = [
  {
    recipient: 'Greta Moss',
    destination: near('B3H 2Y9', '31 Mussel Street', 44.6301, -63.5789),
    goods: { 'plant-heather': 3, trowel: 1 },
    choiceId: 'peninsula:cart',
    ago: 26,
    states: ['packed'],
  },
  {
    recipient: 'Jonah Reed',
    destination: near('B3J 1S9', '7 Anchor Court', 44.6467, -63.5743),
    goods: { 'pot-18': 2, 'seed-lupin': 3 },
    choiceId: 'peninsula:cart',
    ago: 22,
    states: [],
  },
  {
    recipient: 'Kaya Vetch',
    destination: near('B3L 1V2', '112 Kestrel Road', 44.6493, -63.6012),
    goods: { 'soil-20': 2, 'plant-lavender': 2 },
    choiceId: 'peninsula:cart',
    later: 1,
    ago: 21,
    states: [],
  },
  {
    recipient: 'Linus Alder',
    destination: near('B2W 3T7', '4 Ropewalk', 44.6533, -63.5396, 'Dartmouth'),
    goods: { 'pot-26': 1, 'bulb-tulip': 2 },
    choiceId: 'harbour-ring:van',
    ago: 47,
    states: ['packed'],
  },
  {
    recipient: 'Ines Sorrel',
    destination: near('B2X 1K1', '58 Brackish Lane', 44.6871, -63.5498, 'Dartmouth'),
    goods: { 'plant-heather': 4, 'can-6': 1 },
    choiceId: 'harbour-ring:van',
    ago: 45,
    states: [],
  },
  {
    recipient: 'Bram Teasel',
    destination: near('B4A 2E5', '9 Spindrift Way', 44.7312, -63.6561, 'Bedford'),
    goods: { 'pot-34': 1 },
    choiceId: 'harbour-ring:van',
    ago: 43,
    states: [],
  },
  {
    recipient: 'Celeste Birch',
    destination: near('B3P 1W8', '20 Gull Close', 44.6211, -63.6072),
    goods: { 'soil-20': 4 },
    choiceId: 'harbour-ring:van',
    ago: 41,
    states: [],
  },
  {
    recipient: 'Dov Larch',
    destination: near('B3K 1V5', '66 Dulse Terrace', 44.6589, -63.5902),
    goods: { 'cane-bamboo': 1, snips: 1 },
    choiceId: 'nursery-yard',
    ago: 20,
    states: ['packed', 'ready'],
  },
  {
    recipient: 'Edda Quill',
    destination: near('B3N 2L4', '3 Samphire Hill', 44.6402, -63.6251),
    goods: { 'soil-20': 3, 'pot-26': 1 },
    choiceId: 'nursery-yard',
    later: 2,
    ago: 19,
    states: [],
  },
  {
    recipient: 'Ines Quill',
    destination: near('B2Y 1N4', '17 Ferry Steps', 44.6668, -63.5661, 'Dartmouth'),
    goods: { 'seed-lupin': 4, 'plant-heather': 1 },
    choiceId: 'market-stall',
    ago: 30,
    states: [],
  },
  {
    recipient: 'Finn Wren',
    destination: far('CA-NB', 'E1C 1A1', 'Moncton', '14 Dyke Street'),
    goods: { 'pot-26': 2 },
    choiceId: 'parcel-maritimes',
    ago: 23,
    states: ['packed'],
  },
  {
    recipient: 'Ada Moss',
    destination: far('CA-PE', 'C1A 4P3', 'Charlottetown', '2 Red Cliff Road'),
    goods: { 'bulb-daffodil': 4, labels: 1 },
    choiceId: 'express-maritimes',
    ago: 18,
    states: [],
  },
  {
    recipient: 'Hollis Reed',
    destination: far('CA-ON', 'M5V 1J1', 'Toronto', '801 Loft Street'),
    goods: { 'seed-kale': 2, 'seed-poppy': 3 },
    choiceId: 'seed-mail-central',
    ago: 16,
    states: [],
  },
];

const HOUR_MS = 3_600_000;
const FIRST_NUMBER = 988;

type Ask = Parameters<typeof compile>[2];

/** The orders of the made-up shop that have to be handed over in these days: what its book offers, as from now. */
export const openDemoOrders = (
  book: Book,
  catalogue: Catalogue,
  now: string,
  ask: Ask = null,
): PastOrder[] => {
  const compiled = compile(book, catalogue, ask);
  const made: PastOrder[] = [];
  RECIPES.forEach(({ recipient, destination, goods, choiceId, later = 0, ago, states }, at) => {
    const placedAt = new Date(Date.parse(now) - ago * HOUR_MS).toISOString();
    const lines = Object.entries(goods).map(([sku, quantity]) => ({ sku, quantity }));
    const taken = slotsTaken(made);
    const request = { destination, lines, placedAt, channel: 'shopfront', slotsTaken: taken };
    const choice = quote(compiled, request).choices.find(({ id }) => id === choiceId);
    if (!choice) return;
    const fresh = choice.slots?.filter(({ end }) => Date.parse(end) > Date.parse(now));
    const slot = fresh?.[Math.min(later, fresh.length - 1)];
    const placed = placeOrder(compiled, {
      request,
      choiceId,
      shown: choice.charge,
      number: String(FIRST_NUMBER + at),
      recipient,
      ...(slot ? { slot: { start: slot.start, end: slot.end } } : {}),
    });
    if (!placed.ok) return;
    const history = states.map((status, step) => ({
      status,
      at: new Date(Date.parse(placedAt) + (step + 1) * HOUR_MS).toISOString(),
    }));
    const order = placed.value;
    made.push({
      ...order,
      payment: 'card',
      status: states.at(-1) ?? order.status,
      history: [...order.history, ...history],
    });
  });
  return made;
};
