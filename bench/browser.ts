import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import type { Book } from '../core/model/book.ts';
import type { Catalogue } from '../core/model/good.ts';
import type { PastOrder } from '../core/model/order.ts';
import { compile } from '../core/quote/compile.ts';
import { quote } from '../core/quote/quote.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { exportApp } from '../scripts/export.mjs';
import { findChromium } from '../scripts/chromium.mjs';
import { makeServer } from '../server/app.ts';
import { largeBook, randomRequests } from './large-book.ts';

/** What is measured in the browser itself, on the exported app: opening, scrolling, a keystroke, undo. */

const GOODS = 5_000;
const ORDERS = 90_000;
const KEYSTROKES = 24;
const WIDE = { width: 1280, height: 800 };

const median = (values: number[]): number => values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
const percentile = (values: number[], share: number): number =>
  values.sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? 0;

let misses = 0;
const report = (name: string, value: number, most: number, unit: string, more = ''): void => {
  const reached = value <= most;
  if (!reached) misses += 1;
  const figure = `${value.toFixed(unit === 'ms' ? 1 : 2)} ${unit}${more}`;
  console.log(
    `${name.padEnd(58)} ${figure.padStart(22)}  ${reached ? 'reached' : 'MISSED'}: ${most} ${unit}`,
  );
};

const manyGoods = (): Catalogue => ({
  ...demoCatalogue,
  goods: Array.from({ length: GOODS }, (_, at) => {
    const good = demoCatalogue.goods[at % demoCatalogue.goods.length]!;
    return at < demoCatalogue.goods.length
      ? good
      : { ...good, sku: `${good.sku}-${at}`, name: `${good.name}, ${at}` };
  }),
});

/** The large book with a test order whose first choice can be edited, and the address of that rate. */
const largeWorkbook = (): { book: Book; testOrders: unknown[]; path: string } => {
  const book = largeBook(200, 6, 20, 20_000);
  const compiled = compile(book, demoCatalogue);
  const skus = demoCatalogue.goods.filter((good) => good.weight).map((good) => good.sku);
  for (const request of randomRequests(200, skus)) {
    const [choice] = quote(compiled, request).choices;
    const rate = book.rates.find(({ id }) => id === choice?.id);
    if (!rate || !choice || choice.charge === 0) continue;
    const testOrders = [{ id: 'bench', name: 'Bench', request, expects: [] }];
    return { book, testOrders, path: `/charges?zone=${rate.zoneId}&service=${rate.serviceId}` };
  }
  throw new Error('no order of the bench has a choice');
};

/** About so many bytes of past orders, by month. */
const manyOrders = (): Map<string, PastOrder[]> => {
  const skus = demoCatalogue.goods.map((good) => good.sku);
  const months = new Map<string, PastOrder[]>();
  randomRequests(ORDERS, skus).forEach((request, at) => {
    const month = `2026-${String((at % 12) + 1).padStart(2, '0')}`;
    const placedAt = `${month}-${request.placedAt.slice(8)}`;
    const lines = request.lines.map((line) => ({
      ...line,
      name: `Something with a name, ${line.sku}`,
      price: 1_250,
    }));
    const order: PastOrder = {
      number: String(1_000 + at),
      request: { ...request, lines, placedAt },
      chosen: { id: 'parcel-maritimes', kind: 'shipping', name: 'Parcel', charge: 1_730, total: 1_972 },
      status: 'placed',
      history: [{ status: 'placed', at: placedAt }],
      recipient: `Customer number ${at}`,
      sums: { goods: 2_500, taxes: 592, total: 4_822 },
    };
    months.set(month, [...(months.get(month) ?? []), order]);
  });
  return months;
};

/** Puts documents on the device as the program keeps them. */
const keep = async (page: Page, documents: [key: string, text: string][]): Promise<void> => {
  for (const entry of documents) {
    await page.evaluate(async ([key, text]) => {
      const opening = indexedDB.open('emporos');
      await new Promise((resolve) => opening.addEventListener('success', resolve));
      const written = opening.result.transaction('entries', 'readwrite');
      written.objectStore('entries').put(text, key);
      await new Promise((resolve) => written.addEventListener('complete', resolve));
      opening.result.close();
    }, entry);
  }
};

const draftDocument = (book: Book, testOrders: unknown[]): string =>
  JSON.stringify({ version: 3, goodsStamp: 1, changedAt: null, book, testOrders, past: [], future: [] });
const goodsDocument = (catalogue: Catalogue, { rateTables, postalList }: Book): string =>
  JSON.stringify({ version: 2, goodsStamp: 1, catalogue, rateTables, postalList });

const opened = async (page: Page, path: string): Promise<void> => {
  await page.goto(path);
  await page.getByTestId('preview').getByRole('list', { name: 'Shipped' }).waitFor();
};

/** The time until a page shows its preview, in a browser that has the program's files. */
const openingTime = async (context: BrowserContext, rounds = 7): Promise<number> => {
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const page = await context.newPage();
    const from = performance.now();
    await opened(page, '/charges');
    times.push(performance.now() - from);
    await page.close();
  }
  return median(times);
};

const newContext = (browser: Browser, origin: string): Promise<BrowserContext> =>
  browser.newContext({ viewport: WIDE, baseURL: origin, reducedMotion: 'reduce', serviceWorkers: 'block' });

const benchOpening = async (browser: Browser, origin: string): Promise<void> => {
  const plain = await newContext(browser, origin);
  await openingTime(plain, 2);
  const demo = await openingTime(plain);
  await plain.close();
  const full = await newContext(browser, origin);
  const page = await full.newPage();
  await opened(page, '/charges');
  const months = [...manyOrders()].map(([month, orders]): [string, string] => [
    `emporos/orders/${month}`,
    JSON.stringify({ version: 1, orders }),
  ]);
  await keep(page, months);
  await page.close();
  const bytes = months.reduce((sum, [, text]) => sum + text.length, 0);
  await openingTime(full, 2);
  const stored = await openingTime(full);
  await full.close();
  const more = `, ${demo.toFixed(0)} to ${stored.toFixed(0)} ms`;
  report(
    `opening with ${(bytes / 1e6).toFixed(0)} MB stored against the demo`,
    stored / demo,
    2,
    'times',
    more,
  );
};

/** The frames of a scroll through the goods, in milliseconds. */
const benchScroll = async (browser: Browser, origin: string): Promise<void> => {
  const context = await newContext(browser, origin);
  const page = await context.newPage();
  await opened(page, '/charges');
  const { book, testOrders } = largeWorkbook();
  await keep(page, [
    ['emporos/draft', draftDocument(book, testOrders)],
    ['emporos/catalogue', goodsDocument(manyGoods(), book)],
  ]);
  await page.goto('/goods');
  await page
    .getByRole('row', { name: /Lupin seeds/ })
    .first()
    .waitFor();
  await page.waitForTimeout(1_000);
  const frames = await page.evaluate(async () => {
    const list = [...document.querySelectorAll<HTMLElement>('[role=grid] div')].find(
      (one) => one.scrollHeight > 20_000 && getComputedStyle(one).overflowY !== 'visible',
    );
    if (!list) throw new Error('the list of goods does not scroll');
    const times: number[] = [];
    let last = performance.now();
    for (let frame = 0; frame < 400; frame += 1) {
      list.scrollTop += 90;
      const now = await new Promise<number>((resolve) => requestAnimationFrame(resolve));
      times.push(now - last);
      last = now;
    }
    return { times: times.slice(1), moved: list.scrollTop };
  });
  if (frames.moved < 30_000) throw new Error('the goods did not scroll');
  const worst = Math.max(...frames.times).toFixed(0);
  report(
    `${GOODS} goods scrolled, frame at the 95th percentile`,
    percentile(frames.times, 0.95),
    50,
    'ms',
    `, worst ${worst}`,
  );
  await context.close();
};

/** From the key that is pressed to the preview that has changed, in the page's own clock. */
const keyToPreview = async (page: Page, press: () => Promise<void>): Promise<number> => {
  await page.evaluate(
    () =>
      void Object.assign(window, {
        isChanged: new Promise<number>((resolve) => {
          let from = 0;
          window.addEventListener('keydown', () => (from ||= performance.now()), {
            capture: true,
            once: true,
          });
          const preview = document.querySelector('[data-testid=preview]');
          const watch = new MutationObserver(() => {
            if (from === 0) return;
            watch.disconnect();
            resolve(performance.now() - from);
          });
          if (preview) watch.observe(preview, { subtree: true, childList: true, characterData: true });
          setTimeout(() => resolve(Number.NaN), 5_000);
        }),
      }),
  );
  await press();
  return page.evaluate(() => (window as unknown as { isChanged: Promise<number> }).isChanged);
};

const benchKeystroke = async (browser: Browser, origin: string): Promise<void> => {
  const context = await newContext(browser, origin);
  const page = await context.newPage();
  await opened(page, '/charges');
  const { book, testOrders, path } = largeWorkbook();
  await keep(page, [
    ['emporos/draft', draftDocument(book, testOrders)],
    ['emporos/catalogue', goodsDocument(demoCatalogue, book)],
  ]);
  await opened(page, path);
  const field = page.getByLabel('Free from a subtotal of', { exact: true });
  await page.getByRole('button', { name: 'Limits, handling and more' }).click();
  await field.click();
  await field.press('Control+A');
  await page.keyboard.type('1');
  await page.waitForTimeout(500);
  const keys: number[] = [];
  for (let at = 0; at < KEYSTROKES; at += 1) {
    keys.push(await keyToPreview(page, () => page.keyboard.press(at % 2 === 0 ? 'Backspace' : '1')));
    await page.waitForTimeout(400);
  }
  report('a keystroke in a rate to a changed preview, large book', median(keys), 50, 'ms', ' median');
  const undos: number[] = [];
  await page.getByRole('heading', { level: 1 }).click();
  for (let at = 0; at < 10; at += 1) {
    const key = at % 2 === 0 ? 'Control+z' : 'Control+Shift+z';
    undos.push(await keyToPreview(page, () => page.keyboard.press(key)));
    await page.waitForTimeout(300);
  }
  report('undo and redo to a changed preview, large book', Math.max(...undos), 50, 'ms', ' worst');
  await context.close();
};

const main = async (): Promise<void> => {
  await exportApp();
  const executablePath = await findChromium();
  if (!executablePath) throw new Error('the browser bench needs Chromium');
  const server = makeServer({ webRoot: join(process.cwd(), 'dist') }).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  console.log(`\nIn Chromium ${browser.version()}, without a graphics card\n`);
  await benchOpening(browser, origin);
  await benchScroll(browser, origin);
  await benchKeystroke(browser, origin);
  await browser.close();
  server.close();
  if (misses > 0) process.exitCode = 1;
};

void main();
