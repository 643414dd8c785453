import Papa from 'papaparse';
import { tableRowCells } from '../core/formats/rate-table.ts';
import type { RateTable } from '../core/model/price.ts';
import { findTableRow, indexTable } from '../core/price/table.ts';
import { compile, type CompiledBook } from '../core/quote/compile.ts';
import { quote } from '../core/quote/quote.ts';
import type { QuoteRequest } from '../core/model/request.ts';
import type { Book } from '../core/model/book.ts';
import type { Place } from '../core/place/place.ts';
import { findZone, indexZones } from '../core/place/zone-index.ts';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { largeBook, randomRequests } from './large-book.ts';
import { seeded } from '../core/seeded.ts';
import { benchAudit } from './audit.ts';
import { benchCosts } from './costs.ts';
import { benchNearby } from './nearby.ts';
import { benchPacking } from './packing.ts';
import { heldBy, measure, type Measured } from './measure.ts';
import { peerRows, ruleEngine, scanRows } from './peers.ts';
import { benchRatios } from './ratios.ts';
import { demoRequests, quoteAll } from './subjects.ts';

const PLACES = 20_000;
const skus = demoCatalogue.goods.filter((good) => good.weight).map((good) => good.sku);
const print = (name: string, figure: string, target = ''): void =>
  console.log(`${name.padEnd(58)} ${figure.padStart(22)}  ${target}`);
const micro = (measured: Measured, count: number): string =>
  `${((measured.median / count) * 1_000).toFixed(2)} µs`;
const perSecond = (measured: Measured, count: number): string =>
  `${Math.round((count / measured.median) * 1_000).toLocaleString('en')} a second`;

let misses = 0;
const expect = (name: string, reached: boolean, figure: string, target: string): void => {
  if (!reached) misses += 1;
  print(name, figure, `${reached ? 'reached' : 'MISSED'}: ${target}`);
};

const renderAll = (compiled: CompiledBook, requests: readonly QuoteRequest[]): number => {
  let letters = 0;
  for (const request of requests) {
    const { choices, withheld, notices } = quote(compiled, request);
    for (const choice of choices) for (const line of choice.working) letters += line.text.length;
    for (const one of withheld) letters += one.text.length;
    for (const notice of notices) letters += notice.text.length;
  }
  return letters;
};

const benchDemo = async (): Promise<Measured & { count: number }> => {
  const compiled = compile(demoBook, demoCatalogue);
  const requests = Array.from({ length: 10 }, demoRequests).flat();
  const plain = await measure(() => quoteAll(compiled, requests));
  const spoken = await measure(() => renderAll(compiled, requests));
  const speed = (measured: Measured): number => (requests.length / measured.median) * 1_000;
  expect(
    'demo book, charges and codes',
    speed(plain) >= 100_000,
    perSecond(plain, requests.length),
    '100,000',
  );
  expect(
    'demo book, every sentence rendered',
    speed(spoken) >= 20_000,
    perSecond(spoken, requests.length),
    '20,000',
  );
  return { ...plain, count: requests.length };
};

const benchLarge = async (): Promise<void> => {
  const book = largeBook(200, 6, 20, 20_000);
  const requests = randomRequests(5_000, skus);
  const clones = Array.from({ length: 9 }, () => structuredClone(book));
  const fresh = (): CompiledBook => compile(clones.pop() ?? book, demoCatalogue);
  print(
    'large book, compile',
    `${(await measure(fresh)).median.toFixed(1)} ms`,
    '200 zones × 6 services × 20 steps, 20,000 patterns',
  );
  print('large book, held in memory', `${(heldBy(fresh) / 1_048_576).toFixed(1)} MB`);
  const compiled = compile(book, demoCatalogue);
  print(
    'large book, charges and codes',
    perSecond(await measure(() => quoteAll(compiled, requests)), requests.length),
  );
  const edited = { ...book, rates: book.rates.with(0, { ...book.rates[0]!, freeFrom: 1 }) };
  print(
    'large book, compile again after editing one rate',
    `${(await measure(() => compile(edited, demoCatalogue, null, compiled.parts))).median.toFixed(2)} ms`,
  );
};

/** Places that a book's own patterns take, so that few patterns and many are hit alike. */
const placesTaken = (book: Book, count: number): Place[] => {
  const random = seeded(3);
  const patterns = book.zones.flatMap((zone) => zone.includes.flatMap((region) => region.postal ?? []));
  return Array.from({ length: count }, () => {
    const pattern = patterns[Math.floor(random() * patterns.length)] ?? '';
    const code = (pattern.split(' to ')[0] ?? '').replace('*', '').replace('?', '5').padEnd(6, '1');
    return { country: 'CA', subdivision: 'CA-NS', code };
  });
};

const benchZones = async (): Promise<void> => {
  const lookUps = async (patterns: number): Promise<Measured> => {
    const book = largeBook(200, 1, 1, patterns);
    const index = indexZones(book.zones);
    const places = placesTaken(book, PLACES);
    return measure(() =>
      places.reduce((sum, place) => sum + (findZone(index, place)?.because.length ?? 0), 0),
    );
  };
  const few = await lookUps(200);
  const many = await lookUps(20_000);
  const ratio = many.median / few.median;
  print('zone look-up, 200 patterns', micro(few, PLACES));
  print('zone look-up, 20,000 patterns', micro(many, PLACES));
  expect(
    'zone look-up, 20,000 against 200 patterns',
    ratio < 2,
    `${ratio.toFixed(2)} times`,
    'under 2 times',
  );
};

const benchPeers = async (one: Measured & { count: number }): Promise<void> => {
  const asked = Array.from({ length: 2_000 }, (_, at) => ({
    zone: `zone-${at % 50}`,
    weight: (at * 37) % 10_000,
  }));
  const scan = await measure(() =>
    asked.reduce((sum, { zone, weight }) => sum + (scanRows(peerRows, zone, weight) ?? 0), 0),
  );
  const engine = ruleEngine(peerRows);
  const runs = asked.slice(0, 20);
  const rules = await measure(async () => {
    for (const facts of runs) await engine.run(facts);
  });
  const whole = one.median / one.count;
  print('a plain scan of 1,000 rows', micro(scan, asked.length));
  print('json-rules-engine, the same rows as rules', micro(rules, runs.length));
  print('a whole quote of the demo book', micro(one, one.count));
  const againstScan = scan.median / asked.length / whole;
  const againstRules = rules.median / runs.length / whole;
  expect(
    'a whole quote against the scan',
    againstScan > 1,
    `${againstScan.toFixed(2)} times as fast`,
    'faster',
  );
  expect(
    'a whole quote against the rules',
    againstRules >= 1_000,
    `${Math.round(againstRules)} times as fast`,
    '1,000 times',
  );
};

/** A table of so many rows, ten ranges for each code. */
const tableOf = (rows: number): RateTable => ({
  id: 'far',
  name: 'Far',
  basis: 'weight',
  rows: Array.from({ length: rows }, (_, at) => ({
    country: 'US',
    postal: String(10_000 + Math.floor(at / 10)),
    from: (at % 10) * 1_000,
    ...(at % 10 === 9 ? {} : { to: ((at % 10) + 1) * 1_000 }),
    amount: 500 + (at % 10) * 75,
  })),
});

const TABLE_ROWS = 100_000;

const benchTables = async (): Promise<void> => {
  const asked = (rows: number) =>
    Array.from({ length: 20_000 }, (_, at) => ({
      place: { country: 'US', subdivision: undefined, code: String(10_000 + ((at * 37) % (rows / 10))) },
      weight: (at * 7_919) % 12_000,
    }));
  const lookUps = (table: RateTable): Promise<Measured> => {
    const index = indexTable(table);
    const questions = asked(table.rows.length);
    return measure(() =>
      questions.reduce(
        (sum, { place, weight }) => sum + (findTableRow(index, place, weight).row < 0 ? 0 : 1),
        0,
      ),
    );
  };
  const [small, large] = [tableOf(1_000), tableOf(TABLE_ROWS)];
  const few = await lookUps(small);
  const many = await lookUps(large);
  const questions = asked(TABLE_ROWS).slice(0, 200);
  const scan = await measure(() =>
    questions.reduce((sum, { place, weight }) => {
      const row = large.rows.find(
        ({ postal, from, to }) =>
          postal === place.code && from <= weight && (to === undefined || weight < to),
      );
      return sum + (row?.amount ?? 0);
    }, 0),
  );
  print('table look-up, 1,000 rows', micro(few, 20_000));
  print('table look-up, 100,000 rows', micro(many, 20_000));
  print('a scan of 100,000 rows', micro(scan, questions.length));
  const ratio = many.median / few.median;
  const against = scan.median / questions.length / (many.median / 20_000);
  expect(
    'table look-up, 100,000 against 1,000 rows',
    ratio < 2,
    `${ratio.toFixed(2)} times`,
    'under 2 times',
  );
  expect(
    'table look-up against the scan',
    against >= 500,
    `${Math.round(against)} times as fast`,
    '500 times',
  );
  await benchTableIndex(large);
};

/** The index of a table against papaparse reading the file it came out of, and what both hold in memory. */
const benchTableIndex = async (table: RateTable): Promise<void> => {
  const text = Papa.unparse(table.rows.map((row) => tableRowCells(row, 'weight', 2)));
  const reading = await measure(() => Papa.parse<string[]>(text).data.length);
  const indexing = await measure(() => indexTable({ ...table }));
  const held = heldBy(() => {
    const made = tableOf(TABLE_ROWS);
    return { made, index: indexTable(made) };
  });
  print('papaparse, the file of 100,000 rows', `${reading.median.toFixed(0)} ms`);
  expect(
    'index of 100,000 rows',
    indexing.median < reading.median,
    `${indexing.median.toFixed(0)} ms`,
    'less than papaparse reading the file',
  );
  expect('rows and index in memory', held < 120 * 1_048_576, `${(held / 1_048_576).toFixed(0)} MB`, '120 MB');
};

const main = async (): Promise<void> => {
  console.log(`Node ${process.version}, medians of seven rounds, garbage collected between them\n`);
  const demo = await benchDemo();
  benchRatios(expect);
  await benchLarge();
  await benchZones();
  await benchTables();
  benchPacking({ print, expect });
  await benchNearby(expect);
  await benchCosts(expect);
  await benchAudit({ print, expect });
  await benchPeers(demo);
  if (misses > 0) {
    console.log(`\n${misses} target${misses === 1 ? '' : 's'} missed`);
    process.exitCode = 1;
  }
};

void main();
