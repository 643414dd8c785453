import { fault, type Fault } from '../model/fault.ts';

/** A column that a list from a file may have. */
export interface ListColumn<C extends string> {
  column: C;
  name: string;
  /** Headings under which other files have it, without units, case and marks. */
  aliases: readonly string[];
  needed: boolean;
  /** Whether its bare figures are in the list's unit. */
  measured: boolean;
}

/** What each column of a file is taken as; null is passed over. */
export type ListMapping<C extends string> = (C | null)[];

/** The units that bare figures may be in, each with the words that name it in a heading. */
const UNIT_WORDS: Record<string, RegExp> = {
  kg: /\b(kg|kgs|kilos?|kilograms?)\b/,
  g: /\b(g|gr|grams?)\b/,
  lb: /\b(lbs?|pounds?)\b/,
  oz: /\b(oz|ounces?)\b/,
  L: /\b(l|litres?|liters?)\b/,
  mm3: /\bmm3\b/,
  cm3: /\b(cm3|ccm|cc)\b/,
  'cu in': /\b(cu in|in3)\b/,
  m: /\b(m|metres?|meters?)\b/,
  km: /\b(km|kilometres?|kilometers?)\b/,
  mi: /\b(mi|miles?)\b/,
};

/** A heading without marks, accents and capitals. */
const plain = (heading: string): string =>
  heading
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

const withoutUnits = (text: string): string =>
  Object.values(UNIT_WORDS)
    .reduce((left, unit) => left.replaceAll(new RegExp(unit, 'g'), ' '), text)
    .replace(/\s+/g, ' ')
    .trim();

const isNamed = ({ name, aliases }: ListColumn<string>, wanted: string): boolean =>
  [name, ...aliases].map(plain).some((alias) => alias === wanted || alias.replaceAll(' ', '') === wanted);

/** What the columns of a file most likely hold, by their headings; each column once. */
export const guessMapping = <C extends string>(
  headings: readonly string[],
  columns: readonly ListColumn<C>[],
): ListMapping<C> => {
  const taken = new Set<C>();
  return headings.map((heading) => {
    const text = plain(heading);
    const found = [text, withoutUnits(text), text.replaceAll(' ', '')]
      .map((wanted) => columns.find((column) => isNamed(column, wanted)))
      .find(Boolean);
    if (!found || taken.has(found.column)) return null;
    taken.add(found.column);
    return found.column;
  });
};

/** The unit that the headings of measured columns name, or null. */
export const guessUnit = <C extends string>(
  headings: readonly string[],
  mapping: ListMapping<C>,
  columns: readonly ListColumn<C>[],
  units: readonly string[],
): string | null => {
  const measured = headings.filter((_, at) =>
    columns.some(({ column, measured: isMeasured }) => isMeasured && column === mapping[at]),
  );
  return units.find((unit) => measured.some((heading) => UNIT_WORDS[unit]?.test(plain(heading)))) ?? null;
};

/** What is wrong with the columns before any row is read: one that is needed is missing, one is named twice. */
export const mappingFaults = <C extends string>(
  mapping: ListMapping<C>,
  columns: readonly ListColumn<C>[],
): Fault[] =>
  columns.flatMap(({ column, name, needed }) => {
    const times = mapping.filter((one) => one === column).length;
    if (times > 1) return [fault('column-twice', 'row 1', { column: name })];
    return needed && times === 0 ? [fault('column-missing', 'row 1', { column: name })] : [];
  });

/** Where a cell is: 'row 12, From'. Rows count from 1, the headings being row 1. */
export const cellAt = (row: number, name: string | null): string =>
  name === null ? `row ${row}` : `row ${row}, ${name}`;

const LONGEST_SHOWN = 40;

/** A cell that could not be read, with what was expected in its place. */
export const unread = (row: number, name: string, text: string, expected: string): Fault =>
  fault('cell-unread', cellAt(row, name), {
    text: text.length > LONGEST_SHOWN ? `${text.slice(0, LONGEST_SHOWN)}…` : text,
    expected,
  });

/** The cells of a row by their columns, trimmed; a column that the file lacks is ''. */
export const cellsBy = <C extends string>(
  mapping: ListMapping<C>,
): ((cells: readonly string[]) => (column: C) => string) => {
  const places = new Map(mapping.flatMap((column, at) => (column === null ? [] : [[column, at] as const])));
  return (cells) => (column) => {
    const at = places.get(column);
    return at === undefined ? '' : (cells[at] ?? '').trim();
  };
};

/** A list read from the rows of a file: what could be taken, and what is wrong with the rest. */
export interface ListReading<T> {
  items: T[];
  /** The row of the file that each item is from. */
  rows: number[];
  faults: Fault[];
  faulty: number;
}

/** Reads each filled row after the headings; rows with a fault are left out. */
export const readList = <T>(
  rows: readonly (readonly string[])[],
  read: (cells: readonly string[], row: number) => { item: T } | { faults: Fault[] },
): ListReading<T> => {
  const reading: ListReading<T> = { items: [], rows: [], faults: [], faulty: 0 };
  for (let at = 1; at < rows.length; at += 1) {
    const cells = rows[at] as readonly string[];
    if (cells.every((cell) => cell.trim() === '')) continue;
    const result = read(cells, at + 1);
    if ('item' in result) {
      reading.items.push(result.item);
      reading.rows.push(at + 1);
    } else {
      reading.faults.push(...result.faults);
      reading.faulty += 1;
    }
  }
  return reading;
};
