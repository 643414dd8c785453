import type { Choice, Withheld } from '../../core/model/quote.ts';
import type { Expectation } from '../../core/check/check-test-order.ts';

/** Whether an expectation is about one choice, by its id. */
export const isAbout = (expects: Expectation, id: string): boolean =>
  (expects.kind === 'offered' && expects.choiceId === id) ||
  (expects.kind === 'withheld' && expects.id === id);

/** The expectations of a test order with one in place of all that are about its choice. */
export const withExpectation = (all: readonly Expectation[], one: Expectation): Expectation[] => {
  const id = one.kind === 'offered' ? one.choiceId : one.kind === 'withheld' ? one.id : '';
  return [...all.filter((expects) => !isAbout(expects, id)), one];
};

/** The expectations without those about a choice. */
export const withoutExpectation = (all: readonly Expectation[], id: string): Expectation[] =>
  all.filter((expects) => !isAbout(expects, id));

/** That a choice is offered for what it costs now, or withheld for the reason it is. */
export const asItIs = (one: Choice | Withheld): Expectation =>
  'charge' in one
    ? { kind: 'offered', choiceId: one.id, charge: one.charge }
    : { kind: 'withheld', id: one.id, code: one.code };

/** How one choice of the preview stands to what its test order expects of it. */
export type Standing = 'unsaid' | 'kept' | 'broken';

export const standingOf = (all: readonly Expectation[], one: Choice | Withheld): Standing => {
  const said = all.filter((expects) => isAbout(expects, one.id));
  if (said.length === 0) return 'unsaid';
  const isKept = said.every((expects) => {
    if (expects.kind === 'withheld') return !('charge' in one) && (expects.code ?? one.code) === one.code;
    if (expects.kind !== 'offered' || !('charge' in one)) return false;
    const { charge = one.charge } = expects;
    return typeof charge === 'number'
      ? charge === one.charge
      : one.charge >= charge.min && one.charge <= charge.max;
  });
  return isKept ? 'kept' : 'broken';
};
