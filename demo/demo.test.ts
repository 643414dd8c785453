import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { iso31662 } from 'iso-3166';
import { readOrders } from '../core/formats/orders.ts';
import { readBook, readCatalogue, readTestOrders } from '../core/formats/read.ts';
import type { Region } from '../core/model/place.ts';
import { quote } from '../core/quote/quote.ts';
import { moneyFigure } from '../core/words/figure.ts';
import { checkTestOrder } from '../core/check/check-test-order.ts';
import { compile } from '../core/quote/compile.ts';
import { demoBook } from './book.ts';
import { demoCatalogue } from './goods.ts';
import { demoOrdersFile } from './orders.ts';
import { movedUpTo, pastOrdersOf, type OrdersFile } from './past-orders.ts';
import { demoTestOrders } from './test-orders.ts';

const file = (name: string): unknown => JSON.parse(readFileSync(join(__dirname, 'data', name), 'utf8'));
const pastFile = file('past-orders.json') as OrdersFile;
const past = pastOrdersOf(pastFile);
const compiled = compile(demoBook, demoCatalogue);

describe('the demo shop', () => {
  test('its files are what the script makes, and read without a fault', () => {
    expect(readBook(file('book.json'))).toEqual({ ok: true, value: demoBook });
    expect(readCatalogue(file('catalogue.json'), demoBook)).toEqual({ ok: true, value: demoCatalogue });
    expect(readTestOrders(file('test-orders.json'))).toEqual({ ok: true, value: demoTestOrders });
    expect(readOrders(file('orders.json'))).toEqual({ ok: true, value: past.slice(-600) });
  });

  test('its past orders are sound, a year of them, and the first are what the script makes', () => {
    expect(past).toHaveLength(4_000);
    expect(readOrders(past)).toEqual({ ok: true, value: past });
    const made = demoOrdersFile(60);
    expect(pastOrdersOf(pastFile).slice(0, 60)).toEqual(pastOrdersOf(made));
    const days = past.map(({ request }) => request.placedAt);
    expect(days).toEqual([...days].sort());
    expect(Date.parse(days.at(-1) ?? '') - Date.parse(days[0] ?? '')).toBeGreaterThan(355 * 86_400_000);
  });

  test('its past orders are moved by whole days into the last day before an instant', () => {
    const newest = Date.parse(pastFile.newest);
    for (const now of ['2027-01-05T12:00:00.000Z', '2026-11-24T17:00:00.000Z', '2026-11-24T16:59:00.000Z']) {
      const moved = Date.parse(movedUpTo(pastFile, now).newest);
      expect((moved - newest) % 86_400_000).toBeCloseTo(0);
      expect(moved).toBeLessThanOrEqual(Date.parse(now));
      expect(moved).toBeGreaterThan(Date.parse(now) - 86_400_000);
    }
  });

  test('every subdivision it names is a real one', () => {
    const real = new Set(iso31662.map((subdivision) => subdivision.code));
    const regions: Region[] = [
      ...demoBook.zones.flatMap((zone) => [...zone.includes, ...zone.excludes]),
      ...demoBook.store.sellsTo.closedRegions,
      ...demoBook.taxes.map((tax) => tax.region),
    ];
    const named = regions.flatMap((region) => region.subdivision ?? []);
    expect(named.length).toBeGreaterThan(20);
    expect(named.filter((code) => !real.has(code))).toEqual([]);
  });

  test('it is large enough to show the work', () => {
    expect(demoCatalogue.goods.length).toBeGreaterThanOrEqual(24);
    expect(demoBook.zones).toHaveLength(8);
    expect(demoTestOrders.filter((testOrder) => testOrder.pinned)).toHaveLength(2);
  });

  test.each(demoTestOrders.map((testOrder) => [testOrder.name, testOrder] as const))(
    '%s gives what it should',
    (_name, testOrder) => {
      expect(testOrder.expects.length).toBeGreaterThan(0);
      expect(checkTestOrder(compiled, testOrder).result).toMatchObject({
        kept: true,
        outcomes: testOrder.expects.map((expects) => ({ expects, came: null })),
      });
    },
  );

  test('the order worked out in the docs comes out as it is written there', () => {
    const request = {
      destination: { country: 'CA', subdivision: 'CA-NS', postalCode: 'B1P 6K1' },
      lines: [{ sku: 'pot-34', quantity: 1 }],
      placedAt: '2026-11-24T10:15:00-04:00',
      customer: 'trade',
    };
    const parcel = quote(compiled, request).choices.find(({ id }) => id === 'parcel-maritimes');
    const rows = parcel?.working.map(
      ({ text, change, running }) => `| ${text} | ${moneyFigure(change, 2)} | ${moneyFigure(running, 2)} |`,
    );
    const docs = readFileSync(join(__dirname, '..', 'docs', 'rating.md'), 'utf8');
    expect(rows).toHaveLength(6);
    for (const row of rows ?? []) expect(docs).toContain(row);
  });
});
