import type { Book } from '../model/book.ts';
import type { RateTable } from '../model/price.ts';
import { tableOddities, type TableOddity } from '../price/table-report.ts';
import type { Finding, Where } from './finding.ts';
import { neverActs } from './never-acts.ts';
import { idleSentence } from '../words/idle-sentence.ts';

/** Of one table so many rows are named; the count says how many there are. */
const MOST_ROWS = 50;

const rowAt = ({ id }: RateTable, row: number): Where => ({ kind: 'table', id: `${id}:${row + 1}` });

const codeOf = ({ kind }: TableOddity): Finding['code'] =>
  kind === 'hole' ? 'table-gap' : kind === 'overlap' ? 'rows-overlap' : 'row-never-acts';

const oddTables = ({ rateTables, rates }: Book): Finding[] =>
  rateTables
    .filter(({ id }) =>
      rates.some(({ price, active }) => active && price.kind === 'table' && price.tableId === id),
    )
    .flatMap((table) =>
      tableOddities(table.rows)
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
        })),
    );

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
export const oddLists = (book: Book, on: string): Finding[] => [
  ...oddTables(book),
  ...idleAdjustments(book, on),
];
