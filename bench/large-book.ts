import type { Book } from '../core/model/book.ts';
import type { Zone } from '../core/model/place.ts';
import type { Rate } from '../core/model/rate.ts';
import type { QuoteRequest } from '../core/model/request.ts';
import { demoBook } from '../demo/book.ts';
import { seeded } from '../core/seeded.ts';

const LETTERS = 'ABCEGHJKLMNPRSTVXY';

const pick = (random: () => number, from: string): string => from[Math.floor(random() * from.length)] ?? '';
const digit = (random: () => number): string => String(Math.floor(random() * 10));

/** A made-up Canadian postal code. */
export const postalCode = (random: () => number): string =>
  [
    pick(random, LETTERS),
    digit(random),
    pick(random, LETTERS),
    digit(random),
    pick(random, LETTERS),
    digit(random),
  ].join('');

/** A pattern of one of the four forms. */
const pattern = (random: () => number): string => {
  const code = postalCode(random);
  const form = random();
  if (form < 0.5) return code;
  if (form < 0.8) return `${code.slice(0, 3 + Math.floor(random() * 3))}*`;
  if (form < 0.9) return `${code.slice(0, 4)}?${code.slice(5)}`;
  return `${code.slice(0, 5)}0 to ${code.slice(0, 5)}9`;
};

/** A book of so many zones, services and steps, with so many postal patterns shared out among the zones. */
export const largeBook = (zones: number, services: number, steps: number, patterns: number): Book => {
  const random = seeded(7);
  const made: Zone[] = Array.from({ length: zones }, (_, at) => ({
    id: `zone-${at}`,
    name: `Zone ${at}`,
    active: true,
    includes: [
      { country: 'CA', postal: Array.from({ length: Math.ceil(patterns / zones) }, () => pattern(random)) },
    ],
    excludes: [],
    remainder: at === zones - 1,
  }));
  const list = Array.from({ length: services }, (_, at) => ({ id: `service-${at}`, name: `Service ${at}` }));
  const rates: Rate[] = made.flatMap((zone) =>
    list.map((service, at) => ({
      id: `${service.id}-${zone.id}`,
      serviceId: service.id,
      zoneId: zone.id,
      active: true,
      price: {
        kind: 'steps' as const,
        basis: 'weight' as const,
        per: 'order' as const,
        steps: Array.from({ length: steps }, (_, step) => ({
          from: step * 500,
          amount: 500 + at * 100 + step * 75,
        })),
      },
      limits: { weight: { max: 30_000 } },
      freeFrom: 20_000,
      whenWithheld: 'hide' as const,
      taxable: true,
    })),
  );
  /** The demo's groups and adjustments name its own zones and services, which are not in this book. */
  const groups = demoBook.groups.map(({ id, name, delivery, pickup }) => ({
    id,
    name,
    shipping: 'any' as const,
    delivery,
    pickup,
  }));
  return { ...demoBook, groups, adjustments: [], zones: made, services: list, rates };
};

/** Orders to made-up codes, of two goods of the demo catalogue. */
export const randomRequests = (count: number, skus: readonly string[]): QuoteRequest[] => {
  const random = seeded(11);
  return Array.from({ length: count }, (_, at) => ({
    destination: { country: 'CA', subdivision: 'CA-NS', postalCode: postalCode(random) },
    lines: [0, 1].map(() => ({
      sku: skus[Math.floor(random() * skus.length)] ?? '',
      quantity: 1 + Math.floor(random() * 3),
    })),
    placedAt: new Date(Date.UTC(2026, 10, 1 + (at % 28), 8 + (at % 10), at % 60)).toISOString(),
  }));
};
