import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { makeAuditor } from './auditor.ts';
import type { ShopParts } from './shop-parts.ts';

const ON = '2026-11-24';
const DEMO = { book: demoBook, catalogue: demoCatalogue };
const quiet = (): void => undefined;
const mentions =
  (id: string) =>
  ({ where }: { where: { id: string }[] }) =>
    where.some((rule) => rule.id === id);

beforeAll(() => jest.useRealTimers());

describe('the auditor', () => {
  test('holds the shop: later it is handed only what changed', async () => {
    const auditor = makeAuditor();
    const before = await auditor.audit(DEMO, ON, quiet);
    expect(before?.some(mentions('gloves'))).toBe(true);
    const at = demoCatalogue.goods.findIndex(({ sku }) => sku === 'gloves');
    const gloves = { ...demoCatalogue.goods[at], size: { length: 240, width: 120, height: 40 } };
    const after = await auditor.audit(
      { goods: [[at, gloves as (typeof demoCatalogue.goods)[number]]] },
      ON,
      quiet,
    );
    expect(after?.some(mentions('gloves'))).toBe(false);
  });

  test('calls regions by their names, once it was told them', async () => {
    const auditor = makeAuditor();
    const zones = demoBook.zones.filter((zone) => !zone.remainder);
    const rates = demoBook.rates.filter(({ zoneId }) => zones.some(({ id }) => id === zoneId));
    const texts = async (parts: ShopParts): Promise<string[]> =>
      (await auditor.audit(parts, ON, quiet))?.map(({ text }) => text) ?? [];
    const before = await texts({ ...DEMO, book: { ...demoBook, zones, rates } });
    expect(before[0]).toMatch(/^No zone takes .*US-AK in the United States and all other countries/);
    const after = await texts({ regionNames: { 'US-AK': 'Alaska' } });
    expect(after[0]).toMatch(/^No zone takes .*Alaska in the United States and all other countries/);
  });

  test('ends an audit when another is asked for, or it is stopped, and says how far one is', async () => {
    const auditor = makeAuditor();
    const told: string[] = [];
    const first = auditor.audit(DEMO, ON, ({ place, done, all }) => told.push(`${place} ${done} of ${all}`));
    const second = auditor.audit({}, ON, quiet);
    expect(await first).toBeNull();
    expect(told[0]).toMatch(/^\S.* \d+ of 12$/);
    auditor.stop();
    expect(await second).toBeNull();
    expect(await auditor.audit({}, ON, quiet)).not.toBeNull();
  });
});
