import { iso31661, iso31662 } from 'iso-3166';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import PO from 'pofile';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { openDemoOrders } from '../demo/open-orders.ts';
import { expect, test, type Page } from './browser.ts';
import { closeProgram, ONCE, openProgram } from './program.ts';
import { MERCHANT_STATES, type State } from './states.ts';

test.use({ loadsItself: true });

/** Serves a language beside the program, as a file put there would be. */
const serveLanguage = async (page: Page, language: string, texts: Record<string, string>): Promise<void> => {
  await page.route('**/languages/index.json', (route) =>
    route.fulfill({ json: [{ language, name: 'Another' }] }),
  );
  await page.route(`**/languages/${language}.json`, (route) => route.fulfill({ json: texts }));
};

/** Places of which no state of the program is tried elsewhere. */
const PLACES = [
  '/today',
  '/charges?part=carriers',
  '/charges?part=tables',
  '/check',
  '/settings?part=payments',
  '/settings?part=orders',
  '/begin',
];

const WORD = /[\p{L}’]{3,}/gu;
const wordsOf = (text: string): string[] => (text.match(WORD) ?? []).map((word) => word.toLowerCase());

/** The texts in a value: what is called or written by somebody has a blank or a capital, what a shape names has neither. */
const textsIn = (value: unknown): string[] => {
  if (typeof value === 'string') return /[\p{Lu} ]/u.test(value) ? [value] : [];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(textsIn) : [];
};

const dated = (month: number, day: number): string =>
  new Date(Date.UTC(2026, month, day)).toLocaleDateString('en', {
    ...{ timeZone: 'UTC', weekday: 'short', month: 'short', day: 'numeric' },
  });

/** Words that no catalogue has: of the demo's own names and notes, places, dates, and the carriers' services. */
const ownWords = (): Set<string> => {
  const folder = join(__dirname, '../demo/data');
  const demo = readdirSync(folder).flatMap((name) =>
    textsIn(JSON.parse(readFileSync(join(folder, name), 'utf8'))),
  );
  const orders = textsIn(openDemoOrders(demoBook, demoCatalogue, new Date().toISOString()));
  const countries = new Intl.DisplayNames(['en'], { type: 'region' });
  const places = [
    ...iso31661.map(({ alpha2 }) => countries.of(alpha2) ?? ''),
    ...iso31662.map(({ name }) => name),
  ];
  const months = Array.from({ length: 12 }, (_, month) => dated(month, 1));
  const days = Array.from({ length: 7 }, (_, day) => dated(0, day + 1));
  const carriers = readdirSync(join(__dirname, '../carriers/tariffs')).flatMap(
    (name) =>
      readFileSync(join(__dirname, '../carriers/tariffs', name), 'utf8').match(/(?<=name: ')[^']+/g) ?? [],
  );
  return new Set(
    [...demo, ...orders, ...places, ...months, ...days, ...carriers, 'Emporos English Another'].flatMap(
      wordsOf,
    ),
  );
};

/** What the files say that some states open. */
const OF_FILES: Record<string, string> = {
  'a CSV before it is taken': 'stock.csv Article Title Price urn bad Garden urn Broken twelve',
  'a rate table before it is taken': 'leaflet.csv Price',
  'rates before they are imported': 'rates.csv Service Amount Colour Seed mail Nothing',
  'a file to repair': 'savedAt torn.json',
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

/** Around each text of the made-up language stand marks that nobody sees, and that a test which names a button passes over. */
const [OPENS, CLOSES] = ['\u200b', '\u00ad'];

/** Whether a text chooses between others, so that braces in it are not only around names of values. */
const CHOOSES = /\{\w+, (?:plural|select),/;

/** A text of the made-up language: what is put into it stands outside its marks, and needs its own. */
const inMarks = (text: string): string =>
  `${OPENS}${CHOOSES.test(text) ? text : text.replace(/\{\w+\}/g, `${CLOSES}$&${OPENS}`)}${CLOSES}`;

/** A text without what stands between the marks of the made-up language. */
const outside = (text: string): string => {
  let depth = 0;
  return [...text]
    .map((char) => {
      if (char === OPENS) depth++;
      if (char === CLOSES) depth--;
      return depth === 0 && char !== CLOSES ? char : ' ';
    })
    .join('');
};

/** What opens over a page besides: all that is found by a word. */
const find = async (page: Page): Promise<void> => {
  await openProgram(page);
  await page.keyboard.press('/');
  await page.keyboard.type('pa');
  await expect(page.getByRole('option').first()).toBeVisible();
};

test('no text of the merchant’s pages is outside the catalogue', ONCE, async ({ page }) => {
  test.slow();
  const { items } = PO.parse(readFileSync(join(__dirname, '../languages/merchant.pot'), 'utf8'));
  const marked = items.map(({ msgid, msgctxt }) => [
    msgctxt ? `${msgctxt}\u0004${msgid}` : msgid,
    inMarks(msgid),
  ]);
  await serveLanguage(page, 'en-XA', Object.fromEntries(marked) as Record<string, string>);
  await page.addInitScript(() => localStorage.setItem('emporos-language', 'en-XA'));
  const own = ownWords();
  await openProgram(page, '/today');
  const places = PLACES.map((place): [string, State] => [place, (one) => openProgram(one, place)]);
  // The guide is a page of its own in each language.
  const { 'the guide': _, ...states } = MERCHANT_STATES;
  for (const [name, open] of [...places, ...Object.entries({ find, ...states })]) {
    const ofFile = new Set(wordsOf(OF_FILES[name] ?? ''));
    await closeProgram(page);
    await open(page);
    const foreign = (await settledTexts(page)).filter((text) =>
      wordsOf(outside(text)).some((word) => !own.has(word) && !ofFile.has(word)),
    );
    expect.soft([name, ...new Set(foreign)]).toEqual([name]);
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
