import type { Adjustment } from '../model/adjustment.ts';
import type { Problem } from '../model/problem.ts';
import type { DeliveryArea } from '../model/delivery.ts';
import type { Good } from '../model/good.ts';
import type { Limits } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import { compile } from '../quote/compile.ts';
import {
  makeArea,
  makeBook,
  makeCatalogue,
  makeGood,
  makeRate,
  makeYard,
  makeZone,
  tiers,
} from '../testing/book.ts';
import { audit } from './audit.ts';

type Part = Parameters<typeof makeBook>[0];
const WORLD: Part = { zones: [makeZone('country', { remainder: true })] };
const POT = makeGood('pot', { size: { length: 300, width: 200, height: 100 } });
const auditOf = (part: Part, ...goods: Good[]): Problem[] =>
  audit(compile(makeBook(part), makeCatalogue(...goods)), '2026-11-24');
const rates = (...parts: Partial<Rate>[]): Part => ({
  ...WORLD,
  services: ['Parcel', 'van'].map((name) => ({ id: name.toLowerCase(), name })),
  rates: parts.map((part) => makeRate(part)),
});

describe('the audit says', () => {
  test('no consequence of limits that contradict themselves, and of a minimum that an area cannot take', () => {
    const steps = tiers('weight', [
      { from: 0, amount: 500 },
      { from: 5, amount: 900 },
    ]);
    const limits = { weight: { min: 9, max: 3 }, subtotal: { min: 900, max: 300 } };
    const odd = { id: 'odd', serviceId: 'van', price: steps, limits, freeFrom: 500, bounds: { min: 600 } };
    expect(auditOf(rates({}, odd), POT).map(({ code }) => code)).toEqual(['limits-contradict']);
    expect(auditOf(rates(odd), POT).map(({ code }) => code)).toEqual(['no-choice', 'service-without-rate']);
  });

  test('no adjustment that may still act: one that ends the list stands between, or it has more conditions', () => {
    const one = (part: Partial<Adjustment>): Adjustment => ({
      id: 'a',
      name: 'A',
      active: true,
      when: [],
      to: {},
      effect: { do: 'add', amount: 200, per: 'order' },
      ...part,
    });
    const set = one({ id: 'set', effect: { do: 'set', amount: 900 } });
    const codes = (...adjustments: Adjustment[]): string[] =>
      auditOf({ ...WORLD, adjustments }, POT).map(({ code }) => code);
    expect(codes(one({}), { ...set, when: [{ test: 'measure', of: 'units', min: 3 }] })).toEqual([]);
    expect(
      codes(one({}), one({ id: 'end', last: true, when: [{ test: 'measure', of: 'units', min: 3 }] }), set),
    ).toEqual([]);
    expect(codes(one({}), set)).toEqual(['adjustment-never-acts']);
  });

  test('a threshold at or below the least order that a limit lets through', () => {
    const part = rates({ freeFrom: 4_000, limits: { subtotal: { min: 4_000 } } });
    expect(auditOf(part, POT).map(({ code }) => code)).toContain('always-free');
    expect(auditOf(rates({ freeFrom: 4_000 }), POT).map(({ code }) => code)).not.toContain('always-free');
  });

  test('a gap between rates that begins above one unit', () => {
    const part = rates(
      { limits: { units: { max: 2 } } },
      { id: 'van', serviceId: 'van', price: tiers('units', [{ from: 5, amount: 500 }]) },
    );
    expect(auditOf(part, POT).find(({ code }) => code === 'measure-gap')?.where).toEqual([
      { kind: 'rate', id: 'van' },
      { kind: 'zone', id: 'country' },
    ]);
  });

  test('that a class is not settled, where goods are many and no order proves anything', () => {
    const goods = Array.from({ length: 9 }, (_, at) => makeGood(`good-${at}`, { price: 100 }));
    const part = rates({ limits: { subtotal: { max: 80_000_000_000 } } });
    expect(auditOf(part, ...goods).map(({ code }) => code)).toContain('not-settled');
  });

  test('one thing of what follows from it: bounds, entries that two zones name, an adjustment that leaks twice', () => {
    const codes = (part: Part): string[] => auditOf(part, POT).map(({ code }) => code);
    expect(
      codes(
        rates({ freeFrom: 2_000, bounds: { min: 90_000, max: 80_000 } }, { id: 'van', serviceId: 'van' }),
      ),
    ).toEqual(['bounds-contradict']);
    const zones = [
      makeZone('country', { remainder: true, includes: [{ country: 'CA', postal: ['B3H*'] }] }),
      makeZone('other', { includes: [{ country: 'CA', postal: ['B3H*', 'B2*'] }] }),
    ];
    const both = { zones, rates: zones.map(({ id }) => makeRate({ id, zoneId: id })) };
    expect(codes(both)).toEqual(['zones-contest']);
    const cut = { id: 'cut', name: 'Cut', active: true, when: [], to: {} };
    const adjustments: Adjustment[] = [{ ...cut, effect: { do: 'add', amount: -9_000, per: 'order' } }];
    expect(codes({ ...WORLD, adjustments, rates: [makeRate({ freeFrom: 5_000 })] })).toEqual([
      'free-by-adjustment',
    ]);
  });

  test('nothing about places that are closed', () => {
    const part: Part = { store: { sellsTo: { mode: 'listed', countries: ['CA'], closedRegions: [] } } };
    expect(audit(compile(makeBook(part), makeCatalogue(POT)), '2026-11-24')).toEqual([]);
  });

  test('a price that falls inside a table once, however many rows it falls in', () => {
    const rows = [
      { from: 0, to: 1_000, amount: 900 },
      { from: 1_000, to: 2_000, amount: 700 },
      { from: 2_000, amount: 650 },
    ];
    const part: Part = {
      ...WORLD,
      rateTables: [{ id: 'far', name: 'Far', basis: 'weight', rows }],
      rates: [makeRate({ price: { kind: 'table', tableId: 'far' } })],
    };
    expect(auditOf(part, POT).map(({ code, text }) => `${code}: ${text}`)).toEqual([
      'price-falls: Far costs 2.00 less from 1 kg in row 2, although the order is larger, and in 1 more row.',
    ]);
  });

  test('a method of an area whose limits contradict the area’s or the catalogue', () => {
    const [van] = makeArea().methods;
    const areaWith = (part: Partial<DeliveryArea>, limits: Limits): Part => ({
      ...WORLD,
      locations: [makeYard()],
      areas: [makeArea({ ...part, methods: [{ ...van, limits } as DeliveryArea['methods'][number]] })],
    });
    expect(
      auditOf(areaWith({ limits: { weight: { max: 400 } } }, { weight: { min: 900 } })).map(
        ({ text }) => text,
      ),
    ).toContain('The weight limits of Van of Ring contradict each other: no basket meets them.');
    expect(auditOf(areaWith({}, { weight: { max: 100 } })).map(({ text }) => text)).toContain(
      'Van of Ring takes no product: each one alone is above its limit of 100 g.',
    );
  });
});
