import { createSelector } from '@reduxjs/toolkit';
import type { TrialResult } from '../../../core/proof/check-trial.ts';
import type { Trial } from '../../../core/model/trial.ts';
import { choiceNames, expectationWords, outcomeSentence } from '../../../core/words/outcome-sentence.ts';
import { locatedSentence } from '../../../core/words/fault-sentence.ts';
import { selectBook, selectDisplayFormat, selectTrials } from '../../state/selectors.ts';
import type { RootState } from '../../state/store.ts';

/** A trial among the others: whether it is kept, and what was expected and came where it is not. */
export interface TrialLine {
  trial: Trial;
  /** 'unproved' until it has been run, 'empty' where it expects nothing. */
  state: 'kept' | 'broken' | 'empty' | 'unproved';
  broken: string[];
  expects: string[];
}

/** Trials under one heading; those without one come first, under ''. */
export interface TrialGroup {
  name: string;
  lines: TrialLine[];
}

const stateOf = (trial: Trial, result: TrialResult | undefined): TrialLine['state'] => {
  if (!result) return 'unproved';
  if (!result.kept) return 'broken';
  return trial.expects.length === 0 ? 'empty' : 'kept';
};

const selectNames = createSelector([selectBook], choiceNames);

/** Each trial with how it stands, as the last run over the draft found. */
export const selectTrialLines = createSelector(
  [selectTrials, (state: RootState) => state.proof.proof, selectNames, selectDisplayFormat],
  (trials, proof, names, display): TrialLine[] => {
    const results = new Map(proof?.results.map((result) => [result.id, result]));
    return trials.map((trial) => {
      const result = results.get(trial.id);
      return {
        trial,
        state: stateOf(trial, result),
        broken: [
          ...(result?.faults.map(locatedSentence) ?? []),
          ...(result?.outcomes.filter(({ came }) => came !== null) ?? []).map((one) =>
            outcomeSentence(one, names, display),
          ),
        ],
        expects: trial.expects.map((one) => expectationWords(one, names, display)),
      };
    });
  },
);

/** The trials under their headings: pinned ones first within each. */
export const selectTrialGroups = createSelector([selectTrialLines], (lines): TrialGroup[] => {
  const groups = new Map<string, TrialLine[]>();
  for (const line of lines) {
    const name = line.trial.group ?? '';
    groups.set(name, [...(groups.get(name) ?? []), line]);
  }
  const pinnedFirst = (a: TrialLine, b: TrialLine): number =>
    Number(b.trial.pinned ?? false) - Number(a.trial.pinned ?? false);
  return [...groups]
    .sort(([a], [b]) => Number(a !== '') - Number(b !== ''))
    .map(([name, inGroup]) => ({ name, lines: [...inGroup].sort(pinnedFirst) }));
});

/** How many trials there are, and how many are broken or expect nothing. */
export const selectTrialCounts = createSelector([selectTrialLines], (lines) => ({
  all: lines.length,
  broken: lines.filter(({ state }) => state === 'broken').length,
  empty: lines.filter(({ state }) => state === 'empty').length,
}));
