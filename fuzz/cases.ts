import { answersAtOnce } from '../carriers/stand-ins.ts';
import { readShapes } from '../core/formats/area-geojson.ts';
import { guessMapping } from '../core/formats/list-columns.ts';
import { readOrders } from '../core/formats/orders.ts';
import { orderCells, ordersSheet, readOrderRows } from '../core/formats/orders-csv.ts';
import { pastedSteps } from '../core/formats/pasted-steps.ts';
import { placeless, readList, sheetOf } from '../core/formats/list-format.ts';
import { POSTAL_LIST, postalLineCells } from '../core/formats/postal-list.ts';
import { ownMeaning, RATE_TABLE, tableRowCells, tableSheet } from '../core/formats/rate-table.ts';
import type { SheetColumn } from '../core/formats/sheet-column.ts';
import { readBook, readRequest, readTestOrders } from '../core/formats/read.ts';
import { repaired } from '../core/formats/repair.ts';
import {
  readShopFile,
  readShopValue,
  shopValueUpToDate,
  writeShopFile,
  type Shop,
  type ShopFile,
} from '../core/formats/shop-file.ts';
import { carrierAnswerSchema } from '../core/model/carrier.ts';
import type { PastOrder } from '../core/model/order.ts';
import { codeFormOf } from '../core/place/code-shapes.ts';
import { pastedPatterns } from '../core/place/pasted-patterns.ts';
import { regionsFromText } from '../core/place/region-text.ts';
import { compile } from '../core/quote/compile.ts';
import { carrierQuestions } from '../core/quote/questions.ts';
import { quote } from '../core/quote/quote.ts';
import { typedDates } from '../core/formats/dates-typed.ts';
import { typedSpans } from '../core/formats/hours-typed.ts';
import { typedMeasure } from '../core/formats/measure-typed.ts';
import { typedSize } from '../core/formats/size-typed.ts';
import { typedMoney } from '../core/formats/typed.ts';
import { csvText, parseCsv } from '../ui/files/csv.ts';
import { auditWrongs, quoteWrongs } from './check-quote.ts';
import { mutated, mutatedText } from './mutate.ts';
import { oddText, type Draw } from './odd.ts';

/** What a case found: whether what it made was taken, and what is wrong. */
export interface Outcome {
  taken: boolean;
  wrongs: string[];
}

/** Shops and orders that cases begin with. */
export interface Seeds {
  demo: Shop;
  orders: readonly PastOrder[];
  small: readonly Shop[];
}

const ON = '2026-11-29';
const SAVED_AT = '2026-11-29T12:00:00Z';
const MANY = 12;

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

const writeAgain = ({ shop, orders, editions }: ShopFile): string =>
  writeShopFile(shop, orders, SAVED_AT, editions);

/** A shop that was refused, repaired as far as it can be: what is left is read, and something was done for it. */
const repairWrongs = (value: unknown, here: Shop): string[] => {
  const read = repaired(shopValueUpToDate(value), (one) => readShopValue(one, here));
  if (!read.ok) return read.faults.length === 0 ? ['not repaired, without a fault'] : [];
  const { repairs, value: file } = read.value;
  const again = readShopFile(writeAgain(file), here);
  return [
    ...(repairs.length === 0 ? ['refused, and then read without a repair'] : []),
    ...(again.ok ? [] : ['what was repaired is not read again']),
  ];
};

/** A shop file, written and read again, and its book quoted; a small one audited too, and repaired where it is refused. */
const shopCase =
  (pick: (seeds: Seeds, draw: Draw) => Shop, isAudited: boolean) =>
  (seeds: Seeds, draw: Draw): Outcome => {
    const shop = pick(seeds, draw);
    const file = JSON.parse(writeShopFile(shop, seeds.orders.slice(0, 3), SAVED_AT)) as object;
    const value = JSON.parse(JSON.stringify(mutated(file, draw))) as unknown;
    const read = readShopFile(JSON.stringify(value), shop);
    if (!read.ok) {
      const unsaid = read.faults.length === 0 ? ['refused without a fault'] : [];
      return { taken: false, wrongs: [...unsaid, ...(isAudited ? repairWrongs(value, shop) : [])] };
    }
    const text = writeAgain(read.value);
    const again = readShopFile(text, shop);
    const wrongs =
      again.ok && writeAgain(again.value) === text ? [] : ['it is not read again as it was written'];
    const { book, catalogue, testOrders } = read.value.shop;
    const compiled = compile(book, catalogue, answersAtOnce);
    for (const { request } of testOrders.slice(0, MANY)) wrongs.push(...quoteWrongs(compiled, request));
    if (isAudited) wrongs.push(...auditWrongs(compiled, ON));
    return { taken: true, wrongs };
  };

const requestCase = ({ demo }: Seeds, draw: Draw): Outcome => {
  const compiled = compile(demo.book, demo.catalogue, answersAtOnce);
  const read = readRequest(mutated(draw.of(demo.testOrders).request, draw));
  return { taken: read.ok, wrongs: read.ok ? quoteWrongs(compiled, read.value) : [] };
};

/** Answers of carriers that nobody checked but the schema. */
const answersCase = ({ demo }: Seeds, draw: Draw): Outcome => {
  const compiled = compile(demo.book, demo.catalogue);
  const { request } = draw.of(demo.testOrders);
  const answers = answersAtOnce(carrierQuestions(compiled, request)).flatMap((answer) => {
    const read = carrierAnswerSchema.safeParse(mutated(answer, draw));
    return read.success ? [read.data] : [];
  });
  const free = quote(compiled, request, answers).choices.flatMap(({ id, charge }) =>
    Number.isSafeInteger(charge) && charge >= 0 ? [] : [`${id} costs ${charge}`],
  );
  return { taken: answers.length > 0, wrongs: free };
};

const ordersCase = ({ orders }: Seeds, draw: Draw): Outcome => {
  const read = readOrders(mutated(orders.slice(0, 4), draw));
  if (!read.ok) return { taken: false, wrongs: [] };
  const again = readOrders(JSON.parse(JSON.stringify(read.value)));
  return {
    taken: true,
    wrongs: again.ok && same(again.value, read.value) ? [] : ['orders are not read again'],
  };
};

const headingsOf = (columns: readonly SheetColumn[]): string[] => columns.map(({ heading }) => heading);

const ordersCsvCase = ({ orders }: Seeds, draw: Draw): Outcome => {
  const text = csvText([headingsOf(ordersSheet()), ...orders.slice(0, 4).map(orderCells)]);
  const read = readOrderRows(parseCsv(mutatedText(text, draw)).rows, placeless('.'));
  const written = csvText([headingsOf(ordersSheet()), ...read.orders.map(orderCells)]);
  const again = readOrderRows(parseCsv(written).rows, placeless('.')).orders;
  const isSame = same(again.map(orderCells), read.orders.map(orderCells));
  return { taken: read.orders.length > 0, wrongs: isSame ? [] : ['a table of orders is not read again'] };
};

const tableCase = ({ demo }: Seeds, draw: Draw): Outcome => {
  const { basis, rows } = draw.of(demo.book.rateTables);
  const { decimals } = ownMeaning(basis, 2);
  const write = (items: typeof rows): string =>
    csvText([
      headingsOf(tableSheet(basis)),
      ...items.slice(0, 20).map((row) => tableRowCells(row, basis, decimals)),
    ]);
  const readAgain = (text: string) => {
    const { rows: cells } = parseCsv(text);
    const mapping = guessMapping(cells[0] ?? [], RATE_TABLE.columns);
    return readList(RATE_TABLE, cells, mapping, ownMeaning(basis, decimals), placeless('.')).items;
  };
  const items = readAgain(mutatedText(write(rows), draw)).slice(0, 20);
  return {
    taken: items.length > 0,
    wrongs: same(readAgain(write(items)), items) ? [] : ['rows are not read again'],
  };
};

const postalCase = ({ demo }: Seeds, draw: Draw): Outcome => {
  const text = csvText([
    headingsOf(sheetOf(POSTAL_LIST.columns)),
    ...demo.book.postalList.slice(0, 20).map(postalLineCells),
  ]);
  const { rows } = parseCsv(mutatedText(text, draw));
  const mapping = guessMapping(rows[0] ?? [], POSTAL_LIST.columns);
  const { items } = readList(
    POSTAL_LIST,
    rows,
    mapping,
    { home: 'CA' },
    {
      ...placeless('.'),
      countryOf: (name) => (/^[a-z]{2}$/i.test(name) ? name.toUpperCase() : null),
    },
  );
  return { taken: items.length > 0, wrongs: [] };
};

const SQUARE = {
  type: 'FeatureCollection',
  features: [
    {
      type: 'Feature',
      properties: { name: 'Harbour' },
      geometry: {
        type: 'Polygon',
        coordinates: [
          [
            [-63.6, 44.6],
            [-63.5, 44.6],
            [-63.5, 44.7],
            [-63.6, 44.6],
          ],
        ],
      },
    },
  ],
};

const shapesCase = (_: Seeds, draw: Draw): Outcome => {
  const read = readShapes(mutated(SQUARE, draw));
  return { taken: read.ok, wrongs: [] };
};

/** What people type and paste, in any field. */
const typedCase = (_: Seeds, draw: Draw): Outcome => {
  const text = oddText(draw);
  const display = { decimals: draw.below(4), units: draw.of(['metric', 'imperial'] as const) };
  const mark = draw.of(['.', ',', 'either'] as const);
  const figures = [
    typedMoney(text, display.decimals, mark),
    typedMeasure('weight', text, display, mark),
    typedMeasure('volume', text, display, mark),
    typedMeasure('distance', text, display, mark),
  ];
  typedSize(text, 'cm', mark);
  typedDates(text);
  typedSpans(text);
  const patterns = pastedPatterns(
    'CA',
    text,
    codeFormOf((code) => code.length === 6),
  );
  const regions = regionsFromText(text);
  pastedSteps(text, 'weight', 'from', display, mark);
  const wrongs = figures.flatMap((typed) =>
    typed.ok && !(typed.value >= 0 && typed.value <= Number.MAX_SAFE_INTEGER)
      ? [`${text} is ${typed.value}`]
      : [],
  );
  return { taken: patterns.patterns.length > 0 || regions.ok || figures.some(({ ok }) => ok), wrongs };
};

const testOrdersCase = ({ demo }: Seeds, draw: Draw): Outcome => ({
  taken: readTestOrders(mutated(demo.testOrders, draw)).ok,
  wrongs: [],
});

const bookCase = ({ demo }: Seeds, draw: Draw): Outcome => {
  const read = readBook(mutated(demo.book, draw));
  return { taken: read.ok, wrongs: !read.ok && read.faults.length === 0 ? ['refused without a fault'] : [] };
};

/** Every reader with how often it is tried, of a hundred. */
export const CASES: readonly (readonly [
  name: string,
  share: number,
  run: (seeds: Seeds, draw: Draw) => Outcome,
])[] = [
  ['typed', 34, typedCase],
  ['request', 12, requestCase],
  ['answers', 8, answersCase],
  ['small shop, audited', 10, shopCase(({ small }, draw) => draw.of(small), true)],
  ['demo shop', 4, shopCase(({ demo }) => demo, false)],
  ['book', 4, bookCase],
  ['testOrders', 4, testOrdersCase],
  ['orders', 6, ordersCase],
  ['orders CSV', 6, ordersCsvCase],
  ['rate table CSV', 4, tableCase],
  ['postal CSV', 4, postalCase],
  ['shapes', 4, shapesCase],
];
