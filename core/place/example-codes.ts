import type { CodeForm } from './code-shapes.ts';
import { writtenPattern } from './postal.ts';
import { patternName, writtenCode } from './written-code.ts';

/** What may be written where postal codes of a country are asked for, as its people write them. */
export interface ExampleCodes {
  whole: string;
  beginning: string;
  range: string;
}

/** Of countries whose codes have letters; the others' are made of figures in a row. */
const WITH_LETTERS: Readonly<Record<string, ExampleCodes>> = {
  CA: { whole: 'B3H4R2', beginning: 'B3J*', range: 'B3H to B3K' },
  GB: { whole: 'M11AE', beginning: 'M2', range: 'M1 to M9' },
  IE: { whole: 'F91X2Y3', beginning: 'F92*', range: 'F91 to F94' },
  MT: { whole: 'VLT1117', beginning: 'SLM*', range: 'VLT1000 to VLT1999' },
  NL: { whole: '1012AB', beginning: '10*', range: '1011 to 1019' },
};

const FIGURES = '123456789';
const SHORTEST = 3;

/** A code of figures alone, and what can stand for it and those beside it; null where codes have letters. */
const inFigures = ({ isWhole }: CodeForm): ExampleCodes | null => {
  for (let length = SHORTEST; length <= FIGURES.length; length += 1) {
    const whole = FIGURES.slice(0, length);
    if (!isWhole(whole)) continue;
    const front = whole.slice(0, -2);
    return { whole, beginning: `${whole.slice(0, 2)}*`, range: `${front}00 to ${front}99` };
  }
  return null;
};

/** Examples of a country's postal codes; null where nothing is known of them. */
export const exampleCodes = (country: string, form: CodeForm | null): ExampleCodes | null => {
  const codes = WITH_LETTERS[country] ?? (form && inFigures(form));
  if (!codes) return null;
  return {
    whole: writtenCode(country, codes.whole),
    beginning: codes.beginning,
    range: patternName(country, writtenPattern(codes.range)),
  };
};
