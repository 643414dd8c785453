import { parsePattern } from './postal.ts';

/** Whether a text is a whole postal code of a country. */
export type IsWhole = (code: string) => boolean;

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
 * Whether some whole code of a country begins as a text does. It completes the text by each shape of the country's
 * codes; `isWhole` knows what the country's codes are, and takes any text where that is not known.
 */
export const beginningsOf = (isWhole: IsWhole): ((text: string) => boolean) => {
  let shapes: string[] | null = null;
  return (text) => {
    if (isWhole(text)) return true;
    shapes ??= shapesOf(isWhole);
    const shape = shapeOf(text);
    return shapes.some(
      (one) => one.length > shape.length && one.startsWith(shape) && isWhole(text + one.slice(shape.length)),
    );
  };
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
