import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type * as Changed from './changed.mjs';

const { browserTestsFor } = jest.requireActual<typeof Changed>('./changed.mjs');
const ROOT = join(__dirname, '..');

describe('the browser tests that a change touches', () => {
  test('are those of its screen, and a changed test itself', () => {
    expect(browserTestsFor(['ui/screens/today/order-row.tsx'])).toEqual(['e2e/today.spec.ts']);
    expect(browserTestsFor(['e2e/preview.spec.ts', 'ui/screens/goods/boxes-page.tsx'])).toEqual([
      'e2e/goods.spec.ts',
      'e2e/preview.spec.ts',
    ]);
  });

  test('are all of them for what several screens share', () => {
    expect(browserTestsFor(['core/quote/quote.ts'])).toBeNull();
    expect(browserTestsFor(['ui/screens/today/order-row.tsx', 'ui/theme/tokens.ts'])).toBeNull();
  });

  test('are none for docs and unit tests', () => {
    expect(browserTestsFor(['README.md', 'docs/rating.md', 'core/quote/quote.test.ts'])).toEqual([]);
  });

  test('are there, for every screen', () => {
    const folders = readdirSync(join(ROOT, 'ui/screens'), { withFileTypes: true }).filter((one) =>
      one.isDirectory(),
    );
    for (const { name: screen } of folders) {
      const tests = browserTestsFor([`ui/screens/${screen}/x.tsx`]) ?? [];
      expect(tests.length).toBeGreaterThan(0);
      for (const file of tests) expect(existsSync(join(ROOT, file))).toBe(true);
    }
  });
});
