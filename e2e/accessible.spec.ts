import axe from 'axe-core';
import { expect, test, type Page } from './browser.ts';
import { cutWhenLonger } from './longer.ts';
import { isPhone } from './program.ts';
import { CUSTOMER_STATES, MERCHANT_STATES } from './states.ts';

/** What shows the frame and what lies outside a page: rails, preview, dialogs. */
const OF_THE_FRAME = [
  'the board',
  'the preview with its working',
  'a test order being changed',
  'the list of keys',
];

/** Waits until the theme is drawn and nothing moves any more. */
const settled = async (page: Page, colorScheme: string): Promise<void> => {
  await expect(page.locator('html')).toHaveCSS('color-scheme', colorScheme);
  await page.evaluate(() => Promise.allSettled(document.getAnimations().map(({ finished }) => finished)));
};

const LEVELS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** What axe finds in a part of the page. */
const violationsOf = async (page: Page, within: string, runOnly: axe.RunOnly): Promise<string[]> => {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  const { violations } = await page.evaluate(
    async ([part, only]) => {
      const { run } = (window as unknown as { axe: typeof axe }).axe;
      return run(part, { runOnly: only, resultTypes: ['violations'] });
    },
    [within, runOnly] as const,
  );
  return violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`,
  );
};

/** What is pressed or typed into and is smaller than a finger needs. */
const tooSmall = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [
      ...document.querySelectorAll(
        'button, [role=button], [role=link], [role=tab], [role=checkbox], [role=radio], a, input, textarea',
      ),
    ].flatMap((element) => {
      const { width, height } = element.getBoundingClientRect();
      const name = element.getAttribute('aria-label') ?? element.textContent ?? '';
      const isSmall = width > 1 && height > 1 && (height < 40 || width < 40);
      return isSmall && element.closest('[aria-hidden=true], [role=img], [inert]') === null
        ? [`${name.slice(0, 60)}: ${Math.round(width)} × ${Math.round(height)}`]
        : [];
    }),
  );

/** What the merchant or a file calls something, where there is room for one short line: it may end in dots. */
const SHORTENED = ['Two pots to Antigonish', 'Seed mail · Nothing'];

for (const [name, open] of Object.entries({ ...MERCHANT_STATES, ...CUSTOMER_STATES })) {
  test(`${name}: axe finds nothing in either theme, a finger hits all, and longer words are not cut`, async ({
    page,
  }) => {
    await open(page);
    await settled(page, 'light');
    if (isPhone(page)) expect.soft(await tooSmall(page), 'a finger hits all').toEqual([]);
    expect.soft(await violationsOf(page, 'html', { type: 'tag', values: LEVELS }), 'light').toEqual([]);
    expect.soft(await cutWhenLonger(page, SHORTENED), 'words of a longer language').toEqual([]);
    // The themes differ in their colours alone, and the frame around a page is the same on all.
    await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
    await settled(page, 'dark');
    const part = OF_THE_FRAME.includes(name) ? 'html' : 'main, [role=main]';
    const contrast = await violationsOf(page, part, { type: 'rule', values: ['color-contrast'] });
    expect.soft(contrast, 'dark').toEqual([]);
  });
}
