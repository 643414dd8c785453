import { parsePattern, type PostalPattern } from '../place/postal.ts';

/**
 * The codes of a country cut into the classes that a set of patterns tells apart: two codes are of one
 * class when the same patterns take both. One code stands for each class.
 */

const ALPHABET = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** A pattern on its way along a code: which, and for a range whether the code still runs along its ends. */
interface Walker {
  id: number;
  pattern: PostalPattern;
  low: boolean;
  high: boolean;
}

interface Node {
  code: string;
  walkers: readonly Walker[];
  /** The patterns that take every code that begins so. */
  taken: readonly number[];
}

const textOf = (pattern: PostalPattern): string =>
  pattern.kind === 'exact' ? pattern.code : pattern.kind === 'range' ? pattern.from : pattern.text;

/** Whether a pattern, all of whose characters are passed, takes codes that go on. */
const isOpen = (pattern: PostalPattern): boolean =>
  pattern.kind === 'range' || (pattern.kind === 'shape' && pattern.open);

/** A walker one character further; null where the pattern does not take it. */
const step = (walker: Walker, at: number, character: string): Walker | null => {
  const { pattern, low, high } = walker;
  if (at >= textOf(pattern).length) return null;
  if (pattern.kind !== 'range') {
    const wanted = textOf(pattern)[at];
    const isWild = pattern.kind === 'shape' && wanted === '?';
    return isWild || wanted === character ? walker : null;
  }
  const [from = '', to = ''] = [pattern.from[at], pattern.to[at]];
  if ((low && character < from) || (high && character > to)) return null;
  return { ...walker, low: low && character === from, high: high && character === to };
};

/** The characters that some walker names next, and one from each stretch of digits or letters between them. */
const nextCharacters = (walkers: readonly Walker[], at: number): string[] => {
  const named = new Set<string>();
  for (const { pattern } of walkers) {
    if (pattern.kind === 'range') {
      named.add(pattern.from[at] ?? '');
      named.add(pattern.to[at] ?? '');
    } else {
      named.add(textOf(pattern)[at] ?? '');
    }
  }
  const characters: string[] = [];
  let isBetween = false;
  for (const character of ALPHABET) {
    const isNamed = named.has(character);
    if (character === 'A') isBetween = false;
    if (isNamed || !isBetween) characters.push(character);
    isBetween = !isNamed;
  }
  return characters;
};

/** The patterns that take a code that ends here. */
const takenHere = ({ code, walkers, taken }: Node): number[] => [
  ...taken,
  ...walkers.filter(({ pattern }) => textOf(pattern).length === code.length).map(({ id }) => id),
];

const child = ({ code, walkers, taken }: Node, character: string): Node => {
  const at = code.length;
  const next: Walker[] = [];
  const done: number[] = [...taken];
  for (const walker of walkers) {
    const moved = step(walker, at, character);
    if (!moved) continue;
    if (isOpen(moved.pattern) && textOf(moved.pattern).length === at + 1) done.push(moved.id);
    else next.push(moved);
  }
  return { code: code + character, walkers: next, taken: done };
};

/** As a code of the country usually looks, so that an example is one a person might type. */
const FORMS: Record<string, string> = {
  CA: 'A1A1A1',
  US: '11111',
  FR: '11111',
  DE: '11111',
  IT: '11111',
  ES: '11111',
  GB: 'AA11AA',
};

/** A code made as long as its country's codes, where nothing that a pattern asks for stands in the way. */
const filled = (country: string, code: string): string => {
  const form = FORMS[country] ?? '';
  return code + form.slice(code.length);
};

const keyOf = (taken: readonly number[]): string => [...taken].sort((a, b) => a - b).join();

const fits = (country: string, code: string): boolean => {
  const form = FORMS[country];
  if (form === undefined || form.length !== code.length) return false;
  return [...code].every((character, at) => /\d/.test(character) === (form[at] === '1'));
};

const isBetter = (country: string, code: string, known: string): boolean =>
  fits(country, code) === fits(country, known) ? code < known : fits(country, code);

/** One code for each set of patterns that some code of the country is taken by, but for the codes that none takes. */
export const codeClasses = (country: string, patterns: readonly string[]): string[] => {
  const walkers = patterns.flatMap((text, id) => {
    const pattern = parsePattern(country, text);
    return pattern ? [{ id, pattern, low: true, high: true }] : [];
  });
  const found = new Map<string, string>();
  const put = (taken: readonly number[], code: string): void => {
    const key = keyOf(taken);
    const known = found.get(key);
    if (key !== '' && (known === undefined || isBetter(country, code, known))) found.set(key, code);
  };
  const open: Node[] = [
    {
      code: '',
      walkers,
      taken: walkers.filter(({ pattern }) => isOpen(pattern) && textOf(pattern) === '').map(({ id }) => id),
    },
  ];
  for (let node = open.pop(); node; node = open.pop()) {
    if (node.code !== '')
      put(takenHere(node), node.walkers.length === 0 ? filled(country, node.code) : node.code);
    if (node.walkers.length === 0) continue;
    for (const character of nextCharacters(node.walkers, node.code.length)) open.push(child(node, character));
  }
  return [...found.values()];
};
