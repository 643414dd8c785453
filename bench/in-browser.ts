import type { Browser, BrowserContext, Page, ViewportSize } from '@playwright/test';
import type { Book } from '../core/model/book.ts';
import type { Catalogue } from '../core/model/good.ts';
import { compile } from '../core/quote/compile.ts';
import { quote } from '../core/quote/quote.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { largeBook, randomRequests } from './large-book.ts';

/** What the benches in a browser share: shops to put on the device, and how a page is timed. */

export const WIDE = { width: 1280, height: 800 };
export const GOODS = 5_000;

export const median = (values: number[]): number =>
  values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
export const percentile = (values: number[], share: number): number =>
  values.sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? 0;

let misses = 0;

/** How many figures missed their target so far. */
export const missed = (): number => misses;

/** Prints a figure beside the most that it should be. */
export const report = (name: string, value: number, most: number, unit: string, more = ''): void => {
  const reached = value <= most;
  if (!reached) misses += 1;
  const figure = `${value.toFixed(unit === 'ms' ? 1 : 2)} ${unit}${more}`;
  console.log(
    `${name.padEnd(58)} ${figure.padStart(22)}  ${reached ? 'reached' : 'MISSED'}: ${most} ${unit}`,
  );
};

/** The demo's products over and over, each with a number of its own. */
export const manyGoods = (): Catalogue => ({
  ...demoCatalogue,
  goods: Array.from({ length: GOODS }, (_, at) => {
    const good = demoCatalogue.goods[at % demoCatalogue.goods.length]!;
    return at < demoCatalogue.goods.length
      ? good
      : { ...good, sku: `${good.sku}-${at}`, name: `${good.name}, ${at}` };
  }),
});

/** The large book with a test order whose first choice can be edited, and the address of that rate. */
export const largeWorkbook = (): { book: Book; testOrders: unknown[]; path: string } => {
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

/** Puts documents on the device as the program keeps them. */
export const keep = async (page: Page, documents: [key: string, text: string][]): Promise<void> => {
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

export const draftDocument = (book: Book, testOrders: unknown[]): string =>
  JSON.stringify({ version: 3, goodsStamp: 1, changedAt: null, book, testOrders, past: [], future: [] });
export const goodsDocument = (catalogue: Catalogue, { rateTables, postalList }: Book): string =>
  JSON.stringify({ version: 2, goodsStamp: 1, catalogue, rateTables, postalList });

/** Opens a page and waits for its preview. */
export const opened = async (page: Page, path: string): Promise<void> => {
  await page.goto(path);
  await page.getByTestId('preview').getByRole('list', { name: 'Shipped' }).waitFor();
};

/** A context of its own, as wide as a desk's screen unless said otherwise. */
export const newContext = (
  browser: Browser,
  origin: string,
  viewport: ViewportSize = WIDE,
): Promise<BrowserContext> =>
  browser.newContext({ viewport, baseURL: origin, reducedMotion: 'reduce', serviceWorkers: 'block' });

/** From the key that is pressed to the preview that has changed, in the page's own clock. */
export const keyToPreview = async (
  page: Page,
  press: () => Promise<void>,
  testId = 'preview',
): Promise<number> => {
  await page.evaluate(
    (id) =>
      void Object.assign(window, {
        isChanged: new Promise<number>((resolve) => {
          let from = 0;
          window.addEventListener('keydown', () => (from ||= performance.now()), {
            capture: true,
            once: true,
          });
          const preview = document.querySelector(`[data-testid=${id}]`);
          const watch = new MutationObserver(() => {
            if (from === 0) return;
            watch.disconnect();
            // Once the frame with the change is drawn.
            requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - from)));
          });
          if (preview) watch.observe(preview, { subtree: true, childList: true, characterData: true });
          setTimeout(() => resolve(Number.NaN), 5_000);
        }),
      }),
    testId,
  );
  await press();
  return page.evaluate(() => (window as unknown as { isChanged: Promise<number> }).isChanged);
};

/** The milliseconds of each frame while the tallest list of a page is scrolled by so many pixels a frame. */
export const scrolled = (page: Page, frames: number, step: number): Promise<number[]> =>
  page.evaluate(
    async ([count, pixels]) => {
      const list = [...document.querySelectorAll<HTMLElement>('div')]
        .filter(
          (one) =>
            one.scrollHeight > one.clientHeight + 5_000 && getComputedStyle(one).overflowY !== 'visible',
        )
        .sort((a, b) => b.scrollHeight - a.scrollHeight)[0];
      if (!list) throw new Error('nothing on the page scrolls');
      const times: number[] = [];
      let last = performance.now();
      for (let frame = 0; frame < count; frame += 1) {
        list.scrollTop += pixels;
        const now = await new Promise<number>((resolve) => requestAnimationFrame(resolve));
        times.push(now - last);
        last = now;
      }
      if (list.scrollTop < count * pixels * 0.5) throw new Error('the list did not scroll');
      return times.slice(1);
    },
    [frames, step] as const,
  );
