import { iso31661, iso31662 } from 'iso-3166';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import PO from 'pofile';
import { expect, test, type Page } from './browser.ts';
import { ONCE, openPreview, openProgram, reopenProgram } from './program.ts';

test.use({ loadsItself: true });

/** Serves a language beside the program, as a file put there would be. */
const serveLanguage = async (page: Page, language: string, texts: Record<string, string>): Promise<void> => {
  await page.route('**/languages/index.json', (route) =>
    route.fulfill({ json: [{ language, name: 'Another' }] }),
  );
  await page.route(`**/languages/${language}.json`, (route) => route.fulfill({ json: texts }));
};

const PLACES = [
  '/today',
  '/charges',
  '/charges?zone=west&service=parcel',
  '/charges?zone=north&panel=zone',
  '/charges?service=parcel&panel=service',
  '/charges?part=adjustments&adjustment=winter',
  '/charges?part=carriers',
  '/charges?part=carriers&account=fulmar',
  '/charges?part=tables',
  '/charges?part=tables&table=pallets-west',
  '/charges?part=duties',
  '/charges?part=costs',
  '/charges?part=costs&view=what-if',
  '/reach',
  '/reach?part=nearby&area=peninsula',
  '/reach?part=nearby&pickup=nursery-yard',
  '/reach?part=postal',
  '/goods',
  '/goods?good=seed-lupin',
  '/goods?panel=groups&group=live-plants',
  '/goods?panel=boxes&box=small',
  '/check',
  '/check?part=testOrders',
  '/check?part=publish',
  '/settings',
  '/settings?part=locations',
  '/settings?part=taxes',
  '/settings?part=payments',
  '/settings?part=orders',
  '/settings?part=data',
  '/begin',
];

const WORD = /[\p{L}’]{3,}/gu;
const wordsOf = (text: string): string[] => (text.match(WORD) ?? []).map((word) => word.toLowerCase());

/** Words that no catalogue has: of the demo's own names and notes, places, dates, units, and signs of the trade. */
const ownWords = (): Set<string> => {
  const folder = join(__dirname, '../demo/data');
  const demo = readdirSync(folder).map((name) =>
    readFileSync(join(folder, name), 'utf8').replaceAll('\\n', ' '),
  );
  const countries = new Intl.DisplayNames(['en'], { type: 'region' });
  const places = [
    ...iso31661.map(({ alpha2 }) => countries.of(alpha2) ?? ''),
    ...iso31662.map(({ name }) => name),
  ];
  const dates = Array.from({ length: 12 }, (_, month) =>
    new Date(Date.UTC(2026, month, month + 1)).toLocaleDateString('en', {
      ...{ timeZone: 'UTC', weekday: 'short', month: 'short', day: 'numeric' },
    }),
  );
  const carriers = readdirSync(join(__dirname, '../carriers/tariffs')).map(
    (name) =>
      readFileSync(join(__dirname, '../carriers/tariffs', name), 'utf8').match(/(?<=name: ')[^']+/g) ?? [],
  );
  return new Set(
    [...demo, ...places, ...dates, ...carriers.flat(), 'Emporos English Another'].flatMap(wordsOf),
  );
};

/** All that is written on the page or read out of it. */
const textsOfPage = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const texts: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode())
      if (!node.parentElement?.closest('script, style, noscript')) texts.push(node.textContent ?? '');
    for (const name of ['aria-label', 'placeholder', 'title', 'alt'])
      for (const element of document.querySelectorAll(`[${name}]`))
        texts.push(element.getAttribute(name) ?? '');
    return texts;
  });

/** The same once all of the page has come: nothing is loading, and what is written stays. */
const settledTexts = async (page: Page): Promise<string[]> => {
  await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
  let texts: string[] = [];
  const isSettled = async (): Promise<boolean> => {
    const before = texts.join('\n');
    texts = await textsOfPage(page);
    return texts.join('\n') === before;
  };
  await expect.poll(isSettled, { intervals: [250] }).toBe(true);
  return texts;
};

/** A text without what stands between the marks of the made-up language. */
const outside = (text: string): string => {
  let depth = 0;
  return [...text]
    .filter((char) => {
      if (char === '⟦') depth++;
      if (char === '⟧') depth--;
      return depth === 0 && char !== '⟧';
    })
    .join('');
};

/** What opens over a page: all that is found by a word, the keys, and how every charge adds up. */
const OPENED: Record<string, (page: Page) => Promise<void>> = {
  find: async (page) => {
    await page.keyboard.press('/');
    await page.keyboard.type('pa');
    await expect(page.getByRole('option').first()).toBeVisible();
  },
  keys: async (page) => {
    await page.keyboard.press('?');
    await expect(page.getByText('⟦this list⟧')).toBeVisible();
  },
  preview: async (page) => {
    await openPreview(page);
    await page.keyboard.press('w');
  },
};

test('no text of the merchant’s pages is outside the catalogue', async ({ page }) => {
  test.slow();
  const { items } = PO.parse(readFileSync(join(__dirname, '../languages/merchant.pot'), 'utf8'));
  const marked = items.map(({ msgid, msgctxt }) => [
    msgctxt ? `${msgctxt}\u0004${msgid}` : msgid,
    `⟦${msgid}⟧`,
  ]);
  await serveLanguage(page, 'en-XA', Object.fromEntries(marked) as Record<string, string>);
  await page.addInitScript(() => localStorage.setItem('emporos-language', 'en-XA'));
  const own = ownWords();
  await openProgram(page, '/today');
  const visits: [string, string, ((page: Page) => Promise<void>)?][] = [
    ...PLACES.map((place): [string, string] => [place, place]),
    ...Object.entries(OPENED).map(([name, open]): (typeof visits)[number] => [name, '/charges', open]),
  ];
  for (const [name, place, open] of visits) {
    await reopenProgram(page, place);
    await open?.(page);
    const foreign = (await settledTexts(page)).filter((text) =>
      wordsOf(outside(text)).some((word) => !own.has(word)),
    );
    expect([name, ...new Set(foreign)]).toEqual([name]);
  }
});

test(
  'French is chosen under Settings, spoken on every page and in every problem, and left again',
  ONCE,
  async ({ page }) => {
    await openProgram(page, '/settings?part=languages');
    const language = (name: string) => page.getByRole('group', { name });
    await language('The program speaks').getByRole('button', { name: 'Français' }).click();
    await expect(page.getByRole('tab', { name: 'Langues' })).toBeVisible();
    await expect(page.locator('html')).toHaveAttribute('lang', 'fr');
    await page.goto('/charges');
    await expect(page.getByRole('heading', { name: 'Frais' })).toBeVisible();
    await expect(page.getByRole('button', { name: /^Parcel vers Maritimes : \d+,\d\d/ })).toBeVisible();
    await page.goto('/check?part=problems');
    await expect(
      page.getByText(/est désactivée, et ses clients vont à|ne peuvent pas être achetées/).first(),
    ).toBeVisible();
    await page.goto('/settings?part=languages');
    await language('Langue du programme').getByRole('button', { name: 'English' }).click();
    await expect(page.getByRole('tab', { name: 'Languages' })).toBeVisible();
    await expect(page.locator('html')).toHaveAttribute('lang', 'en');
  },
);
