import type { Book } from '../model/book.ts';
import type { Zone } from '../model/place.ts';
import type { RateTable } from '../model/price.ts';
import type { TableOddity } from '../price/table-report.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { Finding, RuleRef } from './finding.ts';
import { neverActs } from './never-acts.ts';
import { idleSentence } from './idle-sentence.ts';

/** Of one table so many rows are named; the count says how many there are. */
const MOST_ROWS = 50;

const rowAt = ({ id }: RateTable, row: number): RuleRef => ({ kind: 'table', id: `${id}:${row + 1}` });

const codeOf = ({ kind }: TableOddity): Finding['code'] =>
  kind === 'hole' ? 'table-gap' : kind === 'overlap' ? 'rows-overlap' : 'row-never-acts';

type TableReport = ReturnType<CompiledBook['parts']['tableReport']>;

/** One finding for all places of a table where the price falls. */
const fallsIn = (table: RateTable, { falls }: TableReport): Finding[] => {
  const [first, ...more] = falls;
  if (!first) return [];
  const { row, at, by } = first;
  const detail = { at, by, basis: table.basis, row: row + 1, more: more.length };
  return [{ code: 'price-falls', where: [rowAt(table, row)], detail }];
};

const oddRows = (table: RateTable, { odd: all }: TableReport): Finding[] =>
  all
    .filter((odd) => odd.kind !== 'hole' || odd.to !== undefined)
    .slice(0, MOST_ROWS)
    .map((odd): Finding => ({
      code: codeOf(odd),
      where: [rowAt(table, odd.row)],
      detail: {
        table: table.name,
        basis: table.basis,
        row: odd.row + 1,
        ...('with' in odd ? { with: odd.with + 1 } : {}),
        ...('from' in odd ? { from: odd.from } : {}),
        ...('to' in odd && odd.to !== undefined ? { to: odd.to } : {}),
      },
    }));

const oddTables = ({ parts, book: { rateTables, rates } }: CompiledBook): Finding[] =>
  rateTables
    .filter(({ id }) =>
      rates.some(({ price, active }) => active && price.kind === 'table' && price.tableId === id),
    )
    .flatMap((table) => {
      const report = parts.tableReport(table);
      return [...oddRows(table, report), ...fallsIn(table, report)];
    });

type Row = RateTable['rows'][number];

/** Whether a zone may take places of a row: it takes the rest of the world, or names something of the row's country. */
const mayTake = ({ includes, remainder }: Zone, { country, subdivision }: Row): boolean => {
  const home = country ?? subdivision?.slice(0, 2);
  if (remainder || home === undefined) return true;
  return includes.some(
    (region) =>
      region.country === home &&
      (region.subdivision === undefined || subdivision === undefined || region.subdivision === subdivision),
  );
};

/** Tables with rows for places that no zone using the table takes: one finding a table. */
const rowsElsewhere = ({ rateTables, rates, zones }: Book): Finding[] =>
  rateTables.flatMap((table): Finding[] => {
    const using = new Set(
      rates.flatMap(({ active, price, zoneId }) =>
        active && price.kind === 'table' && price.tableId === table.id ? [zoneId] : [],
      ),
    );
    const taking = zones.filter(({ id, active }) => active && using.has(id));
    if (taking.length === 0) return [];
    const elsewhere = table.rows.filter((row) => !taking.some((zone) => mayTake(zone, row)));
    const [first] = elsewhere;
    if (!first) return [];
    return [
      {
        code: 'rows-elsewhere',
        where: [rowAt(table, table.rows.indexOf(first))],
        detail: { rows: elsewhere.length, of: table.rows.length },
      },
    ];
  });

const idleAdjustments = (book: Book, on: string): Finding[] =>
  book.adjustments.flatMap((adjustment): Finding[] => {
    const idle = neverActs(adjustment, book, on);
    if (!idle || idle.why === 'off') return [];
    return [
      {
        code: 'adjustment-never-acts',
        where: [{ kind: 'adjustment', id: adjustment.id }],
        detail: { name: adjustment.name, why: idleSentence(idle) },
      },
    ];
  });

/** What is odd about the rate tables that price something, and adjustments that can never act from a day on. */
export const oddLists = (compiled: CompiledBook, on: string): Finding[] => [
  ...oddTables(compiled),
  ...rowsElsewhere(compiled.book),
  ...idleAdjustments(compiled.book, on),
];
