import { parsePattern } from './postal.ts';

/** Whether a text is a whole postal code of a country. */
export type IsWhole = (code: string) => boolean;

/** What is known of a country's postal codes. */
export interface CodeForm {
  /** Whether a text is a whole code; a shorter one is taken as the beginning of codes. */
  isWhole: IsWhole;
  /** Whether some code begins as a text does; what none does is not understood. */
  isBeginning: (text: string) => boolean;
  /**
   * Whether a longer code begins as a text does. In Portugal '1100' and '1100-200' are codes: the whole one stands for
   * those that begin with it too.
   */
  goesOn: (text: string) => boolean;
}

/** The codes of a country of which nothing is known: any text is one. */
export const ANY_CODE: CodeForm = { isWhole: () => true, isBeginning: () => true, goesOn: () => false };

/** Whether a pattern is a plain text that is taken as the beginning of codes. */
export const isBeginningOnly = (pattern: string, { isWhole, goesOn }: CodeForm): boolean =>
  /^[A-Z0-9]+$/.test(pattern) && (!isWhole(pattern) || goesOn(pattern));

const LEAST = 3;
const MOST = 9;

/** Digits as 1 and letters as A: what the codes of one country have in common. */
const shapeOf = (text: string): string => text.replace(/[A-Z]/g, 'A').replace(/\d/g, '1');

/** The shapes that whole codes have: every mix of figures and letters that the country takes for one. */
const shapesOf = (isWhole: IsWhole): string[] => {
  const shapes: string[] = [];
  let row = [''];
  for (let length = 1; length <= MOST; length += 1) {
    row = row.flatMap((start) => [`${start}1`, `${start}A`]);
    if (length >= LEAST) shapes.push(...row.filter(isWhole));
  }
  return shapes;
};

/**
 * Whether some longer code of a country begins as a text does. It completes the text by each shape of the country's
 * codes.
 */
const longerCodesOf = (isWhole: IsWhole): ((text: string) => boolean) => {
  let shapes: string[] | null = null;
  return (text) => {
    shapes ??= shapesOf(isWhole);
    const shape = shapeOf(text);
    return shapes.some(
      (one) => one.length > shape.length && one.startsWith(shape) && isWhole(text + one.slice(shape.length)),
    );
  };
};

/** What is known of the codes of a country where it is known which are whole: how they begin, and which go on. */
export const codeFormOf = (isWhole: IsWhole): CodeForm => {
  const goesOn = longerCodesOf(isWhole);
  return { isWhole, isBeginning: (text) => isWhole(text) || goesOn(text), goesOn };
};

/** Whether a pattern can take any code of a country; what begins with a wildcard can. */
export const canTakeCodes = (
  country: string,
  pattern: string,
  isBeginning: (text: string) => boolean,
): boolean => {
  const parsed = parsePattern(country, pattern);
  if (!parsed) return false;
  if (parsed.kind === 'exact') return isBeginning(parsed.code);
  if (parsed.kind === 'range') return isBeginning(parsed.from) || isBeginning(parsed.to);
  const fixed = parsed.text.slice(0, parsed.wild[0] ?? parsed.text.length);
  return fixed === '' || isBeginning(fixed);
};
