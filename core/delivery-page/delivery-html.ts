import type { CustomerWords } from '../words/customer/customer-words.ts';
import type { DeliveryPage, PageArea, PageLine, PagePoint } from './delivery-page.ts';
import { structuredData } from './structured-data.ts';

const SIGNS: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** A text in HTML. */
const text = (words: string): string => words.replace(/[&<>"]/g, (sign) => SIGNS[sign] ?? sign);

/** Its own styles: one column that is read on a phone, printed without waste, dark where the reader has it dark. */
const STYLES = `
:root { color-scheme: light dark; font: 17px/1.5 Georgia, serif; }
body { max-width: 42rem; margin: 2rem auto; padding: 0 1.25rem; }
h1 { font-size: 1.7rem; line-height: 1.2; }
h2 { font-size: 1.25rem; margin-top: 2.5rem; border-bottom: 1px solid; padding-bottom: .25rem; }
h3 { font-size: 1rem; margin: 1.5rem 0 .25rem; }
table { width: 100%; border-collapse: collapse; }
td { padding: .4rem 0; border-top: 1px solid color-mix(in srgb, currentColor 25%, transparent); vertical-align: top; }
td:last-child { text-align: right; padding-left: 1rem; white-space: nowrap; font-variant-numeric: tabular-nums; }
small { display: block; font-size: .85rem; opacity: .8; }
p { margin: .35rem 0; }
@media print { body { margin: 0; max-width: none; } h3, tr { break-inside: avoid; } }
`.trim();

const rows = (lines: readonly PageLine[]): string =>
  `<table><tbody>${lines
    .map(
      ({ name, price, notes }) =>
        `<tr><td>${text(name)}${notes.length > 0 ? `<small>${text(notes.join(' · '))}</small>` : ''}</td><td>${text(price)}</td></tr>`,
    )
    .join('')}</tbody></table>`;

const paragraph = (words: string): string => (words === '' ? '' : `<p>${text(words)}</p>`);

/** How HTML is made of a text of the merchant's, which is CommonMark. */
export type Render = (commonMark: string) => string;

const area = ({ name, where, lines, notes, instructions }: PageArea, render: Render): string =>
  `<h3>${text(name)}</h3>${paragraph(where)}${rows(lines)}${paragraph(notes.join(' · '))}${render(instructions)}`;

const point = (one: PagePoint, { say }: CustomerWords, render: Render): string => {
  const { name, price, notes, address, week, instructions } = one;
  const map = one.point
    ? ` <a href="geo:${one.point.lat},${one.point.lng}">${text(say('page.map'))}</a>`
    : '';
  return [
    `<h3>${text(name)}</h3>`,
    paragraph([price, ...notes].join(' · ')),
    `<p>${text(address.join(', '))}${map}</p>`,
    week === '' ? '' : paragraph(say('page.open', { hours: week })),
    render(instructions),
  ].join('');
};

const section = (title: string, body: string): string =>
  body === '' ? '' : `<section><h2>${text(title)}</h2>${body}</section>`;

/** JSON inside a script element, which no text can end. */
const scriptJson = (value: unknown): string => JSON.stringify(value).replaceAll('<', '\\u003c');

/**
 * The page as one HTML file that needs nothing else: its styles inside, no script to run, and what schema.org says of
 * it. `render` gives the HTML of the merchant's own words.
 */
export const deliveryHtml = (page: DeliveryPage, words: CustomerWords, render: Render): string => {
  const { say } = words;
  const title = `${page.shop}: ${say('page.title')}`;
  const zones = page.zones.map(({ places, lines }) => `<h3>${text(places)}</h3>${rows(lines)}`).join('');
  const closed = page.closed.map(({ name, days }) => paragraph(`${name}: ${days.join(', ')}`)).join('');
  return `<!doctype html>
<html lang="${page.language}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${text(title)}</title>
<style>
${STYLES}
</style>
<script type="application/ld+json">${scriptJson(structuredData(page))}</script>
</head>
<body>
<main>
<h1>${text(title)}</h1>
${paragraph(page.amounts)}
${section(say('page.shipped'), zones)}
${section(say('page.delivered'), page.areas.map((one) => area(one, render)).join(''))}
${section(say('page.collected'), page.points.map((one) => point(one, words, render)).join(''))}
${section(say('page.abroad'), page.duties.map(paragraph).join(''))}
${section(say('page.closed'), closed)}
</main>
</body>
</html>
`;
};
