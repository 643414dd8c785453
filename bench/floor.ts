import type { QuoteRequest } from '../core/model/request.ts';
import type { CompiledBook } from '../core/quote/compile.ts';
import { quote } from '../core/quote/quote.ts';

/** What the floor does for one order: so many outcomes, each with so many lines. */
interface Work {
  code: string;
  lines: readonly number[];
}

interface Line {
  at: number;
  amount: number;
  running: number;
}

const STEPS = Int32Array.from({ length: 8 }, (_, at) => at * 500);

/** The step of a value, as any table of steps is looked up. */
const stepOf = (value: number): number => {
  let [low, high] = [0, STEPS.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((STEPS[middle] ?? 0) <= value) low = middle;
    else high = middle - 1;
  }
  return low;
};

/**
 * The least that quotes of these orders can cost: for each outcome of each one look-up of a rate, one of a step, four
 * compares with limits, and as many objects and lines allocated as the quote has. It knows no rule and gives no right answer.
 */
export const floorOf = (compiled: CompiledBook, requests: readonly QuoteRequest[]): (() => number) => {
  const work = requests.map((request): Work => {
    const { choices, withheld } = quote(compiled, request);
    return {
      code: request.destination?.postalCode ?? '',
      lines: [...choices.map(({ working }) => working.length), ...withheld.map(() => 1)],
    };
  });
  const rates = new Map(compiled.book.rates.map((rate, at) => [at, rate]));
  const places = new Map(work.map(({ code }, at) => [code, at]));
  return () => {
    let sum = 0;
    for (const { code, lines } of work) {
      const place = places.get(code) ?? 0;
      const outcomes: { id: string; charge: number; lines: Line[]; isOff: boolean }[] = [];
      for (let at = 0; at < lines.length; at += 1) {
        const rate = rates.get((place + at) % rates.size);
        const weight = (place * 37 + at * 911) % 4_000;
        const isOff = weight > 3_990 || weight < 0 || place < 0 || at > 99;
        const made: Line[] = [];
        let running = 0;
        for (let line = 0; line < (lines[at] ?? 0); line += 1) {
          const amount = stepOf(weight + line) * 75;
          running += amount;
          made.push({ at: line, amount, running });
        }
        outcomes.push({ id: rate?.id ?? '', charge: running, lines: made, isOff });
      }
      for (const { charge, isOff } of outcomes) if (!isOff) sum += charge;
    }
    return sum;
  };
};
