import autocannon from 'autocannon';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { editionFileText } from '../core/formats/edition-file.ts';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { demoTestOrders } from '../demo/test-orders.ts';
import { sha256 } from '../server/read-edition.ts';
import { steadyLoad } from './steady-load.ts';

/**
 * The quote service over HTTP, beside a floor asked in the same rounds: a bare Express route that parses the same
 * orders and answers the same bytes, made from data as every answer is. The share of a route that has its text ready
 * is printed too. Then many orders a line each, and a minute of trouble: a carrier down, the edition changed, a
 * process killed; SOAK_SECONDS says how long.
 */
const ROUNDS = 7;
const ROUND_SECONDS = 3;
const CONNECTIONS = 16;
/** Rounds that are not counted: a service that runs all day has been made fast by the engine. */
const WARM_UP = 6;
const STEADY_SHARE = 0.7;
const STEADY_SECONDS = 10;
const LEAST_SHARE = 0.5;
const MOST_P99_MS = 20;
const LEAST_LINES_A_MINUTE = 60_000;
const SOAK_SECONDS = Number(process.env['SOAK_SECONDS'] ?? 60);
const SOAK_RATE = 200;
const CHANGE_EVERY_MS = 20_000;
const KILL_EVERY_MS = 30_000;
/** An edition is read by each process, tried against its test orders, and used for what is asked after that. */
const MOST_TAKING_OVER_MS = 8_000;

const requests = demoTestOrders
  .map(({ request }) => request)
  .filter(({ destination }) => destination !== null);
const bodies = requests.map((request) => JSON.stringify(request));
const JSON_HEADERS = { 'content-type': 'application/json' };

const started = async (
  args: string[],
  env: Record<string, string>,
): Promise<{ child: ChildProcess; origin: string }> => {
  const child = spawn(process.execPath, ['--max-semi-space-size=64', ...args], {
    env: { ...process.env, PORT: '0', LOG_LEVEL: 'silent', ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const text = await new Promise<string>((resolve) =>
    child.stdout?.once('data', (data) => resolve(String(data))),
  );
  return { child, origin: /http:\S+/.exec(text)?.[0] ?? '' };
};

/** Asks for each order in turn. */
const load = (url: string, more: Partial<autocannon.Options> = {}): Promise<autocannon.Result> =>
  autocannon({
    url,
    connections: CONNECTIONS,
    duration: ROUND_SECONDS,
    requests: bodies.map((body) => ({ method: 'POST', headers: JSON_HEADERS, body })),
    ...more,
  });

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0;
const say = (name: string, figure: string, goal: string, isReached: boolean): void => {
  console.log(`${name.padEnd(52)} ${figure.padStart(26)}  ${isReached ? 'reached' : 'MISSED'}: ${goal}`);
  if (!isReached) process.exitCode = 1;
};

const perSecond = async (url: string): Promise<number> => (await load(url)).requests.average;

/** The 99th percentile in milliseconds where so many of the requests of a second come that could be answered in one. */
const steadyP99 = async (url: string, rate: number): Promise<number> => {
  const times = await steadyLoad({
    url,
    bodies,
    rate: rate * STEADY_SHARE,
    seconds: STEADY_SECONDS,
    connections: CONNECTIONS,
  });
  times.sort((a, b) => a - b);
  return times[Math.floor(times.length * 0.99)] ?? Infinity;
};

const single = async (service: string, floor: string): Promise<void> => {
  const [data, text] = [`${floor}data`, `${floor}text`];
  for (const url of [service, data, text]) await load(url, { duration: WARM_UP * ROUND_SECONDS });
  const rates: { service: number; data: number; text: number }[] = [];
  for (let round = 0; round < ROUNDS; round += 1)
    rates.push({
      service: await perSecond(service),
      data: await perSecond(data),
      text: await perSecond(text),
    });
  const share = median(rates.map((one) => one.service / one.data));
  const ofText = median(rates.map((one) => one.service / one.text));
  const rate = median(rates.map((one) => one.service));
  say(
    'Single quotes, of a bare route with the same bytes',
    `${rate.toFixed(0)}/s, ${(share * 100).toFixed(0)} %`,
    `${LEAST_SHARE * 100} %`,
    share >= LEAST_SHARE,
  );
  console.log(`  of one whose answers are ready text: ${(ofText * 100).toFixed(0)} %`);
  const [ours, floors] = [await steadyP99(service, rate), await steadyP99(data, rate)];
  say(
    'The same at 70 % of that load, 99th percentile',
    `${ours.toFixed(1)} ms`,
    `${MOST_P99_MS} ms`,
    ours < MOST_P99_MS,
  );
  console.log(`  of the bare route asked as often: ${floors.toFixed(1)} ms`);
};

const lines = async (service: string): Promise<void> => {
  const body = Array.from({ length: 1_000 }, (_, at) => bodies[at % bodies.length]).join('\n');
  const times: number[] = [];
  for (let round = 0; round < WARM_UP + 5; round += 1) {
    const from = performance.now();
    const response = await fetch(service, {
      method: 'POST',
      headers: { 'content-type': 'application/x-ndjson' },
      body,
    });
    await response.text();
    if (round >= WARM_UP) times.push(performance.now() - from);
  }
  const aMinute = 60_000_000 / median(times);
  say(
    'Orders as lines, one process',
    `${aMinute.toFixed(0)} a minute`,
    `${LEAST_LINES_A_MINUTE}`,
    aMinute >= LEAST_LINES_A_MINUTE,
  );
};

const edition = (number: number): Promise<string> =>
  editionFileText(
    {
      ...{ number, publishedAt: '2026-11-24T10:00:00Z', note: `Edition ${number}` },
      book: demoBook,
      catalogue: demoCatalogue,
    },
    [],
    sha256,
  );

/** The resident memory of a program's processes, in megabytes. */
const memoryOf = (pids: readonly string[]): number =>
  pids.reduce((sum, pid) => {
    const pages = readFileSync(`/proc/${pid}/statm`, 'utf8').split(' ')[1] ?? '0';
    return sum + (Number(pages) * 4_096) / 1_000_000;
  }, 0);

const soak = async (): Promise<void> => {
  const folder = mkdtempSync(join(tmpdir(), 'emporos-soak-'));
  const put = async (number: number): Promise<void> =>
    writeFileSync(join(folder, `demo.edition-${number}.json`), await edition(number));
  await put(1);
  const { child, origin } = await started(['scripts/serve.mjs'], {
    ...{ EDITIONS: folder, WORKERS: '2', CARRIER_TROUBLES: 'fulmar=slow' },
  });
  const children = (): string[] =>
    readFileSync(`/proc/${child.pid}/task/${child.pid}/children`, 'utf8').trim().split(' ');
  let number = 1;
  const putAt = [0, performance.now()];
  const changing = setInterval(() => {
    putAt[(number += 1)] = performance.now();
    void put(number);
  }, CHANGE_EVERY_MS);
  let wrong = 0;
  /** Counts an answer of an edition that is not there yet, or that another has replaced for longer than it may take. */
  const watch: autocannon.Request['onResponse'] = (_status, _body, _context, headers) => {
    const answered = Number(headers?.['Emporos-Edition']);
    const replaced = putAt[answered + 1] ?? Infinity;
    if (!(answered <= number) || performance.now() - replaced > MOST_TAKING_OVER_MS) wrong += 1;
  };
  const killing = setInterval(() => process.kill(Number(children()[0]), 'SIGTERM'), KILL_EVERY_MS);
  const before = memoryOf(children());
  const made = await autocannon({
    url: `${origin}/api/editions/demo/quotes`,
    ...{ connections: 200, duration: SOAK_SECONDS, overallRate: SOAK_RATE, timeout: 30 },
    requests: bodies.map((body) => ({ method: 'POST', headers: JSON_HEADERS, body, onResponse: watch })),
  });
  clearInterval(changing);
  clearInterval(killing);
  const after = memoryOf(children());
  const failed = made.errors + made.timeouts + made.non2xx;
  say(
    `${SOAK_RATE} a second for ${SOAK_SECONDS} s, a carrier down, ${number} editions`,
    `${made.requests.total} asked, ${failed} failed, ${wrong} wrong`,
    'none failed, none of a wrong edition',
    failed + wrong === 0,
  );
  console.log(`  memory of the processes: ${before.toFixed(0)} MB, then ${after.toFixed(0)} MB`);
  child.kill();
  rmSync(folder, { recursive: true });
};

const main = async (): Promise<void> => {
  console.log('\nThe quote service over HTTP');
  const service = await started(['scripts/serve.mjs'], {});
  const url = `${service.origin}/api/editions/demo/quotes`;
  const answers = await Promise.all(
    bodies.map(async (body) => (await fetch(url, { method: 'POST', headers: JSON_HEADERS, body })).text()),
  );
  const file = join(tmpdir(), `emporos-floor-${process.pid}.json`);
  writeFileSync(file, JSON.stringify(answers));
  const floor = await started(['--import', 'tsx', 'bench/floor-server.ts'], { ANSWERS: file });
  await single(url, floor.origin);
  await lines(url);
  service.child.kill();
  floor.child.kill();
  rmSync(file);
  await soak();
};

void main();
