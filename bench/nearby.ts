import type { DeliveryArea, Position } from '../core/model/delivery.ts';
import type { HandlingGroup } from '../core/model/good.ts';
import { areasAt, indexAreas } from '../core/place/area-index.ts';
import { placeOf } from '../core/place/place.ts';
import { compile } from '../core/quote/compile.ts';
import { splitBasket } from '../core/quote/split.ts';
import { seeded } from '../core/seeded.ts';
import {
  makeArea,
  makeBook,
  makeCatalogue,
  makeGood,
  makePickup,
  makeYard,
  YARD_POINT,
} from '../core/testing/book.ts';
import { makeClock } from '../core/time/clock.ts';
import { indexBooked } from '../core/time/booked.ts';
import { timePlan } from '../core/time/times.ts';
import { measure } from './measure.ts';

type Expect = (name: string, reached: boolean, figure: string, target: string) => void;

const LOOKED_UP = 20_000;
const random = seeded(77);
const near = (by: number): { lat: number; lng: number } => ({
  lat: YARD_POINT.lat + (random() - 0.5) * by,
  lng: YARD_POINT.lng + (random() - 0.5) * by,
});

/** A ring of twelve corners about a point. */
const ringAbout = ({ lat, lng }: { lat: number; lng: number }): Position[] =>
  Array.from({ length: 12 }, (_, at) => [
    lng + 0.02 * Math.cos((at / 12) * 2 * Math.PI),
    lat + 0.02 * Math.sin((at / 12) * 2 * Math.PI),
  ]);

const code = (at: number): string => `${String(at).padStart(5, '0')}*`;

/** Areas by as many patterns, ten an area, and as many shapes, over a country. */
const areasOf = (patterns: number, shapes: number): DeliveryArea[] => [
  ...Array.from({ length: patterns / 10 }, (_, at) =>
    makeArea({
      id: `codes-${at}`,
      covers: {
        kind: 'postal',
        country: 'CA',
        patterns: Array.from({ length: 10 }, (_unused, n) => code(at * 10 + n)),
      },
    }),
  ),
  ...Array.from({ length: shapes }, (_, at) =>
    makeArea({ id: `shape-${at}`, covers: { kind: 'shape', ring: ringAbout(near(20)) } }),
  ),
];

const lookUps = (areas: readonly DeliveryArea[], patterns: number): (() => number) => {
  const index = indexAreas(areas, [makeYard()]);
  const asked = Array.from({ length: 500 }, () => ({
    place: placeOf({ country: 'CA', postalCode: `${code(Math.floor(random() * patterns)).slice(0, 5)}1` }),
    point: near(20),
  }));
  return () => {
    let found = 0;
    for (let at = 0; at < LOOKED_UP; at += 1) {
      const one = asked[at % asked.length];
      if (one) found += areasAt(index, one.place, one.point).length;
    }
    return found;
  };
};

const everyDay = ([1, 2, 3, 4, 5, 6, 7] as const).map((day) => ({ day, from: '08:00', to: '20:00' }));

const slots = (): (() => unknown) => {
  const clock = makeClock('America/Halifax');
  const timing = { kind: 'slot', hours: everyDay, minutes: 30, horizonDays: 14, capacity: 30 } as const;
  const plan = timePlan(
    makeYard({ hours: everyDay }),
    { kind: 'open-minutes', minutes: 60 },
    { ...timing, hours: everyDay },
    clock,
  );
  const first = Date.parse('2026-11-24T08:00:00-04:00');
  const taken = Array.from({ length: 5_000 }, () => ({
    id: 'x',
    start: new Date(first + Math.floor(random() * 14 * 24) * 3_600_000).toISOString(),
    count: 1,
  }));
  return () => plan.at('2026-11-24T10:15:00-04:00', indexBooked(taken).get('x') ?? null);
};

const split = (): (() => unknown) => {
  const groups = Array.from({ length: 8 }, (_, at): HandlingGroup => ({
    id: `g${at}`,
    name: `g${at}`,
    shipping: at % 3 === 0 ? 'any' : 'none',
    delivery: at % 3 === 1 ? 'any' : 'none',
    pickup: at % 3 === 2 ? 'any' : 'none',
  }));
  const goods = Array.from({ length: 20 }, (_, at) => makeGood(`s${at}`, { groupIds: [`g${at % 8}`] }));
  const book = makeBook({ locations: [makeYard()], areas: [makeArea()], pickups: [makePickup()], groups });
  const compiled = compile(book, makeCatalogue(...goods));
  const lines = goods.map(({ sku }) => ({ sku, quantity: 1 }));
  const destination = { country: 'CA', subdivision: 'CA-NS', postalCode: 'B2G 2L2' };
  return () => splitBasket(compiled, { destination, lines, placedAt: '2026-11-24T10:15:00-04:00' });
};

/** Areas by place, slots with many orders taken, and baskets in parts. */
export const benchNearby = async (expect: Expect): Promise<void> => {
  const few = await measure(lookUps(areasOf(100, 5), 100));
  const many = await measure(lookUps(areasOf(10_000, 500), 10_000));
  const times = many.median / few.median;
  expect(
    'areas of a place, 10,000 patterns and 500 shapes',
    times < 2,
    `${times.toFixed(2)} times`,
    'under 2 times 100 patterns and 5 shapes',
  );
  const slotted = await measure(slots());
  expect(
    'slots of 14 days with 5,000 orders taken',
    slotted.median < 5,
    `${slotted.median.toFixed(2)} ms`,
    '5 ms',
  );
  const parted = await measure(split());
  expect(
    'a basket of 20 goods in 8 groups in parts',
    parted.median < 10,
    `${parted.median.toFixed(2)} ms`,
    '10 ms',
  );
};
