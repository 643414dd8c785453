import type { Fault } from '../model/fault.ts';
import type { Quote } from '../model/quote.ts';
import type { TestOrder } from '../model/test-order.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { measureOrder } from '../quote/quote.ts';

export type Expectation = TestOrder['expects'][number];

/** What came where something else was expected, as data; its words are in `words/outcome-sentence.ts`. */
export type Came =
  | { kind: 'charge'; charge: number }
  | { kind: 'offered'; charge: number }
  | { kind: 'withheld'; code: Quote['withheld'][number]['code']; text: string }
  | { kind: 'absent' }
  | { kind: 'count'; count: number }
  | { kind: 'cheapest'; id: string; name: string; charge: number }
  | { kind: 'no-choice' };

/** One expectation of a test order, and what came where it is broken. */
export interface Outcome {
  expects: Expectation;
  came: Came | null;
}

/** A test order put through a book: kept where every expectation is; unusable where its basket cannot be measured. */
export interface TestOrderResult {
  id: string;
  name: string;
  kept: boolean;
  outcomes: Outcome[];
  faults: readonly Fault[];
}

const isWithin = (charge: number, wanted: Extract<Expectation, { kind: 'offered' }>['charge']): boolean =>
  wanted === undefined ||
  (typeof wanted === 'number' ? charge === wanted : charge >= wanted.min && charge <= wanted.max);

/** Where an id that was looked for stands instead. */
const elsewhere = ({ choices, withheld }: Quote, id: string): Came => {
  const choice = choices.find((one) => one.id === id);
  if (choice) return { kind: 'offered', charge: choice.charge };
  const other = withheld.find((one) => one.id === id);
  return other ? { kind: 'withheld', code: other.code, text: other.text } : { kind: 'absent' };
};

const cheapestOf = ({ choices }: Quote): Quote['choices'][number] | undefined =>
  choices.reduce<Quote['choices'][number] | undefined>(
    (best, choice) => (best && best.charge <= choice.charge ? best : choice),
    undefined,
  );

/** What came instead of an expectation, or null where it is kept. Of equal charges each is the cheapest. */
const cameInstead = (quoted: Quote, expects: Expectation): Came | null => {
  switch (expects.kind) {
    case 'offered': {
      const choice = quoted.choices.find(({ id }) => id === expects.choiceId);
      if (!choice) return elsewhere(quoted, expects.choiceId);
      return isWithin(choice.charge, expects.charge) ? null : { kind: 'charge', charge: choice.charge };
    }
    case 'withheld': {
      const found = quoted.withheld.find(({ id }) => id === expects.id);
      const isKept = found && (expects.code === undefined || found.code === expects.code);
      return isKept ? null : elsewhere(quoted, expects.id);
    }
    case 'how-many': {
      const count = quoted.choices.filter(({ kind }) => kind === expects.of).length;
      const isKept = count >= (expects.min ?? 0) && count <= (expects.max ?? count);
      return isKept ? null : { kind: 'count', count };
    }
    case 'cheapest': {
      const best = cheapestOf(quoted);
      if (!best) return { kind: 'no-choice' };
      const named = quoted.choices.find(({ id }) => id === expects.choiceId);
      if (named && named.charge === best.charge) return null;
      return { kind: 'cheapest', id: best.id, name: best.name, charge: best.charge };
    }
  }
};

/** A test order against what it should give, with the quote it gave. */
export const checkTestOrder = (
  compiled: CompiledBook,
  { id, name, request, answers, expects }: TestOrder,
): { result: TestOrderResult; quote: Quote | null } => {
  const order = measureOrder(compiled, request);
  if (!order.ok)
    return { result: { id, name, kept: false, outcomes: [], faults: order.faults }, quote: null };
  const quoted = order.value.quote(answers);
  const outcomes = expects.map((one) => ({ expects: one, came: cameInstead(quoted, one) }));
  const kept = outcomes.every(({ came }) => came === null);
  return { result: { id, name, kept, outcomes, faults: [] }, quote: quoted };
};
