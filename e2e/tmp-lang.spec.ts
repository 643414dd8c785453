import { readFileSync, writeFileSync } from 'node:fs';
import PO from 'pofile';
import { expect, test } from './browser.ts';
test.use({ loadsItself: true });
const PATHS = ['/today','/charges','/charges?zone=west&service=parcel','/charges?zone=north&panel=zone','/charges?service=parcel&panel=service','/charges?part=adjustments','/charges?part=carriers','/charges?part=tables','/charges?part=duties','/charges?part=costs','/charges?part=costs&view=what-if','/charges?part=costs&view=steps','/charges?part=costs&view=boxes','/charges?part=costs&view=accounts','/reach','/reach?part=zones','/reach?part=nearby','/reach?part=nearby&area=peninsula','/reach?part=nearby&pickup=nursery-yard','/reach?part=postal','/reach?part=sells','/goods','/goods?good=seed-lupin','/goods?panel=groups&group=live-plants','/goods?panel=boxes','/check','/check?part=problems','/check?part=publish','/check?part=editions','/settings','/settings?part=locations','/settings?part=languages','/settings?part=taxes','/settings?part=payments','/settings?part=orders','/settings?part=data','/begin','/guide'];
test('pseudo', async ({ page }) => {
  test.setTimeout(400_000);
  const po = PO.parse(readFileSync('languages/merchant.pot', 'utf8'));
  const texts = Object.fromEntries(po.items.map((i) => [(i.msgctxt ? i.msgctxt + '\u0004' : '') + i.msgid, `⟦${i.msgid}⟧`]));
  await page.route('**/languages/index.json', (r) => r.fulfill({ json: [{ language: 'en-XA', name: 'Pseudo' }] }));
  await page.route('**/languages/en-XA.json', (r) => r.fulfill({ json: texts }));
  await page.addInitScript(() => localStorage.setItem('emporos-language', 'en-XA'));
  const out: Record<string, string[]> = {};
  for (const path of PATHS) {
    await page.goto(path);
    await expect(page.locator('h1:not([aria-busy] *)').first()).toBeVisible();
    await page.waitForTimeout(2500);
    const strings = await page.evaluate(() => {
      const all: string[] = [];
      const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      for (let n = walk.nextNode(); n; n = walk.nextNode()) if (!n.parentElement?.closest('script,style')) all.push(n.textContent ?? '');
      for (const e of document.querySelectorAll('[aria-label],[placeholder],[title]')) for (const a of ['aria-label', 'placeholder', 'title']) { const v = e.getAttribute(a); if (v) all.push(v); }
      return all;
    });
    out[path] = strings;
  }
  writeFileSync('/tmp/pseudo.json', JSON.stringify(out));
});
