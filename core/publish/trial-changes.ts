import type { Choice } from '../model/quote.ts';
import type { Trial } from '../model/trial.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { quote, requestFaults } from '../quote/quote.ts';

/** What a trial's customer would pay and be offered otherwise than before. Charges in minor units. */
export interface TrialChange {
  id: string;
  name: string;
  charges: { name: string; was: number; now: number }[];
  lost: string[];
  gained: string[];
}

const choicesOf = (compiled: CompiledBook, { request, answers }: Trial): readonly Choice[] | null =>
  requestFaults(compiled, request).length > 0 ? null : quote(compiled, request, answers).choices;

/** The trials whose charges or choices differ between two books; one that cannot be used by both is left out. */
export const trialChanges = (
  before: CompiledBook,
  after: CompiledBook,
  trials: readonly Trial[],
): TrialChange[] =>
  trials.flatMap((trial) => {
    const [was, is] = [choicesOf(before, trial), choicesOf(after, trial)];
    if (!was || !is) return [];
    const charges = is.flatMap(({ id, name, charge }) => {
      const old = was.find((choice) => choice.id === id);
      return old && old.charge !== charge ? [{ name, was: old.charge, now: charge }] : [];
    });
    const missing = (from: readonly Choice[], other: readonly Choice[]): string[] =>
      from.filter(({ id }) => !other.some((choice) => choice.id === id)).map(({ name }) => name);
    const [lost, gained] = [missing(was, is), missing(is, was)];
    return charges.length + lost.length + gained.length === 0
      ? []
      : [{ id: trial.id, name: trial.name, charges, lost, gained }];
  });
