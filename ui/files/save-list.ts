import { saveParts } from './files.ts';

const PART = 5_000;

/** Saves a list of any length as CSV, a part at a time so that the page answers meanwhile. */
export const saveList = async <T>(
  name: string,
  headings: string[],
  items: readonly T[],
  cells: (item: T) => string[],
): Promise<void> => {
  const { csvText } = await import('./csv.ts');
  const parts = [csvText([headings])];
  for (let from = 0; from < items.length; from += PART) {
    parts.push(csvText(items.slice(from, from + PART).map(cells)));
    await new Promise((resolve) => setTimeout(resolve));
  }
  saveParts(name, parts);
};
