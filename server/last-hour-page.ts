import type { LastHour, Stretch } from './last-hour.ts';

const [WIDTH, HEIGHT, LEFT, TOP, FOOT] = [720, 180, 78, 16, 36];
/** The page asks again after so many seconds. */
export const EVERY_S = 15;

interface Line {
  name: string;
  /** How it is drawn, so that no colour is needed to tell it. */
  dash: string;
  width: number;
  of: (stretch: Stretch) => number | null;
}
interface Chart {
  title: string;
  unit: string;
  lines: readonly Line[];
}

const line = (name: string, of: Line['of'], dash = '', width = 1.6): Line => ({ name, dash, width, of });

const CHARTS: readonly Chart[] = [
  {
    title: 'Orders quoted',
    unit: 'a minute',
    lines: [
      line('offered something', ({ offered }) => offered),
      line('offered nothing', ({ nothing }) => nothing, '6 3'),
      line('could not be read', ({ refused }) => refused, '1.5 3', 2.4),
    ],
  },
  {
    title: 'Time to quote one',
    unit: 'milliseconds',
    lines: [
      line('half took no longer', ({ median }) => median),
      line('99 of 100 took no longer', ({ slowest }) => slowest, '6 3'),
    ],
  },
  {
    title: 'Carriers',
    unit: 'a minute',
    lines: [
      line('answered', ({ answered }) => answered),
      line('did not answer', ({ failed }) => failed, '6 3'),
      line('fallbacks charged', ({ fallbacks }) => fallbacks, '1.5 3', 2.4),
    ],
  },
];

const escaped = (text: string): string =>
  text.replace(
    /[&<>"]/g,
    (mark) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[mark] ?? mark,
  );

const figure = (value: number | null): string =>
  value === null ? '–' : value.toLocaleString('en', { maximumFractionDigits: value < 10 ? 1 : 0 });

const clock = (at: number): string => new Date(at).toISOString().slice(11, 16);

/** The 1, 2 or 5 times a power of ten at or above a figure. */
const roundUp = (most: number): number => {
  const power = 10 ** Math.floor(Math.log10(Math.max(most, 0.001)));
  return ([1, 2, 5].find((times) => times * power >= most) ?? 10) * power;
};

/** A line through the middles of the stretches, broken where there is no figure; a point alone is a dot. */
const pathOf = (
  stretches: readonly Stretch[],
  { of }: Line,
  x: (at: number) => number,
  y: (v: number) => number,
) =>
  stretches
    .reduce<{ path: string; isDown: boolean }>(
      ({ path, isDown }, stretch) => {
        const value = of(stretch);
        if (value === null) return { path, isDown: false };
        const point = `${x((stretch.from + stretch.to) / 2).toFixed(1)} ${y(value).toFixed(1)}`;
        return { path: `${path}${isDown ? 'L' : 'M'}${point}`, isDown: true };
      },
      { path: '', isDown: false },
    )
    .path.replace(/M([\d.]+ [\d.]+)(?=M|$)/g, 'M$1h0.1');

const drawing = ({ title, unit, lines }: Chart, stretches: readonly Stretch[]): string => {
  const [first, last] = [stretches[0], stretches.at(-1)];
  if (!first || !last) return '';
  const most = roundUp(Math.max(...stretches.flatMap((one) => lines.map(({ of }) => of(one) ?? 0))));
  const x = (at: number): number =>
    LEFT + ((at - first.from) / Math.max(1, last.to - first.from)) * (WIDTH - LEFT);
  const y = (value: number): number => TOP + (1 - value / most) * (HEIGHT - FOOT - TOP);
  const rules = [0, most / 2, most].map(
    (value) =>
      `<path class="rule" d="M${LEFT} ${y(value).toFixed(1)}H${WIDTH}"/><text x="${LEFT - 8}" y="${(y(value) + 4).toFixed(1)}" text-anchor="end">${figure(value)}</text>`,
  );
  const drawn = lines.map(
    (one) =>
      `<path class="line" stroke-width="${one.width}" stroke-dasharray="${one.dash}" d="${pathOf(stretches, one, x, y)}"/>`,
  );
  return `<svg viewBox="0 0 ${WIDTH} ${HEIGHT}" role="img" aria-label="${escaped(`${title}, ${unit}, from ${clock(first.from)} to ${clock(last.to)} UTC; the table has the figures`)}">${rules.join('')}${drawn.join('')}<text x="${LEFT}" y="${HEIGHT - 8}">${clock(first.from)}</text><text x="${WIDTH}" y="${HEIGHT - 8}" text-anchor="end">${clock(last.to)} UTC</text></svg>`;
};

const keyOf = ({ name, dash, width }: Line, value: number | null): string =>
  `<li><svg viewBox="0 0 34 8" aria-hidden="true"><path class="line" stroke-width="${width}" stroke-dasharray="${dash}" d="M0 4H34"/></svg>${name} <b>${figure(value)}</b></li>`;

const rowsOf = ({ lines }: Chart, stretches: readonly Stretch[]): string =>
  [...stretches]
    .reverse()
    .map(
      (one) =>
        `<tr><th scope="row">${clock(one.to)}</th>${lines.map(({ of }) => `<td>${figure(of(one))}</td>`).join('')}</tr>`,
    )
    .join('');

const section = (chart: Chart, stretches: readonly Stretch[]): string => {
  const { title, unit, lines } = chart;
  const last = stretches.at(-1);
  return `<section><h2>${title} <small>${unit}</small></h2>${drawing(chart, stretches)}<ul>${lines
    .map((one) => keyOf(one, last ? one.of(last) : null))
    .join('')}</ul><details><summary>Table</summary><table><thead><tr><th scope="col">until, UTC</th>${lines
    .map(({ name }) => `<th scope="col">${name}</th>`)
    .join('')}</tr></thead><tbody>${rowsOf(chart, stretches)}</tbody></table></details></section>`;
};

const reasons = (withheld: ReturnType<LastHour['withheld']>): string =>
  withheld.length === 0
    ? '<p>Every choice was offered.</p>'
    : `<table><thead><tr><th scope="col">reason</th><th scope="col">choices</th></tr></thead><tbody>${withheld
        .map(({ code, count }) => `<tr><th scope="row">${escaped(code)}</th><td>${figure(count)}</td></tr>`)
        .join('')}</tbody></table>`;

const STYLE = `:root{--ground:#fbf8f1;--ink:#1d1b18;--quiet:#5e574d;--hairline:#d8d0c0;color-scheme:light dark}
@media (prefers-color-scheme:dark){:root{--ground:#191714;--ink:#efe8da;--quiet:#b5ac9d;--hairline:#3a352e}}
body{margin:0 auto;padding:24px 20px 48px;max-width:760px;background:var(--ground);color:var(--ink);font:15px/22px sans-serif}
h1{font:600 30px/36px serif;margin:0;padding-bottom:8px;border-bottom:2px solid}
h2{font:600 17px/24px serif;margin:32px 0 8px}
small,p,summary,text{color:var(--quiet);font:13px/18px sans-serif}
svg{width:100%;height:auto;display:block}text{fill:var(--quiet);font-size:12px}
.rule{stroke:var(--hairline)}.line{fill:none;stroke:var(--ink);stroke-linecap:round;vector-effect:non-scaling-stroke}
a{color:inherit}
@media (max-width:560px){text{font-size:23px}}
ul{list-style:none;margin:4px 0 8px;padding:0;display:flex;flex-wrap:wrap;gap:4px 24px;font-size:13px}
li{display:flex;align-items:center;gap:8px}li svg{width:34px}b{font-weight:600}
summary{padding:10px 0;cursor:pointer}
table{border-collapse:collapse;font-size:13px}th,td{padding:4px 24px 4px 0;border-bottom:1px solid var(--hairline);text-align:right}
th:first-child{text-align:left}th{font-weight:400}`;

/** The last hour of the service as a page that needs no script and asks again by itself. */
export const lastHourPage = (hour: LastHour): string => {
  const stretches = hour.stretches();
  const [first] = stretches;
  const told = first
    ? `Of all processes, since ${clock(first.from)} UTC. <a href="/metrics">The figures for Prometheus</a>`
    : `Figures are gathered every ${EVERY_S} seconds; the first are on their way.`;
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="refresh" content="${EVERY_S}">
<title>The last hour of the quote service</title>
<link rel="icon" href="data:,">
<style>${STYLE}</style>
</head>
<body>
<h1>The last hour</h1>
<p>${told}</p>
${first ? CHARTS.map((chart) => section(chart, stretches)).join('\n') : ''}
${first ? `<section><h2>Not offered <small>choices, by reason</small></h2>${reasons(hour.withheld())}</section>` : ''}
</body>
</html>
`;
};
