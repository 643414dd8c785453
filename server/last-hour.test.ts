import type { Server } from 'node:http';
import { heldEditions } from './held-editions.ts';
import { lastHourPage } from './last-hour-page.ts';
import { LastHour, timeOf } from './last-hour.ts';
import { readingOf } from './metric-reading.ts';
import { listen, makeEdition } from './testing/listening.ts';

const MINUTE = 60_000;
const counted = (offered: number, more = ''): string =>
  `# HELP emporos_quotes_total Orders
emporos_quotes_total{shop="yard",outcome="offered"} ${offered}
emporos_quotes_total{shop="other",outcome="offered"} 2
emporos_quotes_total{shop="yard",outcome="nothing"} 1
emporos_quote_seconds_bucket{le="0.001",shop="yard"} ${offered / 2}
emporos_quote_seconds_bucket{le="0.01",shop="yard"} ${offered}
emporos_quote_seconds_bucket{le="+Inf",shop="yard"} ${offered}
emporos_carrier_answers_total{carrier="fulmar",outcome="answered"} 6
emporos_carrier_answers_total{carrier="fulmar",outcome="timed-out"} 2
emporos_fallbacks_total{shop="yard"} 1
emporos_not_offered_total{shop="yard",code="too-heavy"} ${offered}
${more}`;

test('a reading adds up all shops, and what failed of the carriers', () => {
  const { quotes, carriers, fallbacks, within, withheld } = readingOf(counted(10), 5);
  expect(quotes).toEqual({ offered: 12, nothing: 1, refused: 0 });
  expect([carriers, fallbacks]).toEqual([{ answered: 6, failed: 2 }, 1]);
  expect(within.map(({ seconds, orders }) => [seconds, orders])).toEqual([
    [0.001, 5],
    [0.01, 10],
    [Infinity, 10],
  ]);
  expect([...withheld]).toEqual([['too-heavy', 10]]);
});

test('a time lies straight between the bounds of the histogram', () => {
  const { within } = readingOf(counted(10), 0);
  expect(timeOf(0.5, [], within)).toBeCloseTo(1);
  expect(timeOf(0.75, [], within)).toBeCloseTo(5.5);
  expect(timeOf(0.5, within, within)).toBeNull();
});

test('stretches are by the minute; a process that ended with its counts makes no burst', () => {
  const hour = new LastHour();
  hour.take(counted(10), 0);
  hour.take(counted(30), 2 * MINUTE);
  hour.take(counted(30), 2 * MINUTE);
  hour.take(counted(8), 3 * MINUTE);
  expect(hour.stretches().map(({ from, to, offered }) => [from, to, offered])).toEqual([
    [0, 2 * MINUTE, 10],
    [2 * MINUTE, 3 * MINUTE, 0],
  ]);
  expect(hour.withheld()).toEqual([]);
});

test('what is older than an hour is let go', () => {
  const hour = new LastHour();
  for (let minute = 0; minute <= 90; minute += 1) hour.take(counted(minute), minute * MINUTE);
  const [first] = hour.stretches();
  expect([first?.from, hour.stretches()]).toEqual([30 * MINUTE, expect.any(Array)]);
  expect(hour.stretches()).toHaveLength(60);
});

test('the page draws each figure as a line with its table, and nothing that was counted can write into it', () => {
  const hour = new LastHour();
  expect(lastHourPage(hour)).toContain('the first are on their way');
  hour.take(counted(10), 0);
  hour.take(counted(30, 'emporos_not_offered_total{shop="yard",code="<b>"} 4'), MINUTE);
  const page = lastHourPage(hour);
  expect(page.match(/<svg viewBox="0 0 720/g)).toHaveLength(3);
  expect(page).toContain('Orders quoted, a minute, from 00:00 to 00:01 UTC');
  expect(page).toContain('<th scope="row">too-heavy</th><td>20</td>');
  expect(page).toContain('&lt;b&gt;');
  expect(page).not.toMatch(/<script|NaN|Infinity|undefined/);
});

describe('over HTTP', () => {
  let server: Server;
  let origin = '';
  let time = Date.parse('2026-11-24T10:00:00Z');

  beforeAll(async () => {
    ({ server, origin } = await listen({
      webRoot: __dirname,
      editions: heldEditions({ yard: [makeEdition()] }),
      keys: { read: ['a-key-to-read-with'], write: [], isHere: false },
      now: () => new Date(time),
    }));
  });
  afterAll(() => new Promise((resolve) => server.close(resolve)));

  test('it asks for a key as the figures do, and shows what was quoted since it was last asked', async () => {
    const headers = { authorization: 'Bearer a-key-to-read-with' };
    const page = (asked: RequestInit = {}) => fetch(`${origin}/metrics/last-hour`, asked);
    expect((await page()).status).toBe(401);
    await page({ headers });
    await fetch(`${origin}/api/editions/yard/quotes`, {
      method: 'POST',
      headers: { ...headers, 'content-type': 'application/json' },
      body: JSON.stringify({ lines: [] }),
    });
    time += MINUTE;
    const shown = await page({ headers });
    expect(shown.headers.get('content-type')).toContain('text/html');
    expect(await shown.text()).toMatch(/could not be read <b>1<\/b>/);
  });
});
