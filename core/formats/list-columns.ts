import { WRITTEN_UNITS, type WrittenUnit } from '../model/written-units.ts';
import type { ListColumn, ListMapping } from './list-format.ts';

/** A heading without marks, accents and capitals. */
const plain = (heading: string): string =>
  heading
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

const ALL_UNITS: readonly WrittenUnit[] = Object.values(WRITTEN_UNITS).flat();

/** How each unit is named in a heading. */
const IN_HEADING = new Map(
  ALL_UNITS.map(({ name, words }) => [
    name,
    new RegExp(`\\b(${words.filter((word) => /^[a-z0-9 ]+$/.test(word)).join('|')})\\b`, 'g'),
  ]),
);

const withoutUnits = (text: string): string =>
  [...IN_HEADING.values()]
    .reduce((left, unit) => left.replaceAll(unit, ' '), text)
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
      .map((wanted) => (wanted === '' ? undefined : columns.find((column) => isNamed(column, wanted))))
      .find(Boolean);
    if (!found || taken.has(found.column)) return null;
    taken.add(found.column);
    return found.column;
  });
};

/** The first of these units that a heading names, or null. */
export const unitInHeading = <U extends string>(heading: string, units: readonly U[]): U | null =>
  units.find((unit) => plain(heading).search(IN_HEADING.get(unit) ?? /$^/) >= 0) ?? null;

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
  return units.find((unit) => measured.some((heading) => unitInHeading(heading, [unit]) !== null)) ?? null;
};
