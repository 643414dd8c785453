import { createSelector } from '@reduxjs/toolkit';
import { acceptanceOf, causeKey, problemKey, printOf, type Accepted } from '../../../core/model/accepted.ts';
import type { Problem } from '../../../core/model/problem.ts';
import { ruleName } from '../../../core/audit/problem-sentence.ts';
import type { RuleRef } from '../../../core/audit/finding.ts';
import { selectBook, selectCatalogue, selectGoods } from '../../state/selectors.ts';
import { selectLive } from '../../state/served.ts';
import type { RootState } from '../../state/store.ts';
import { whereLink, type RuleLink } from '../../preview/rule-link.ts';

/** A problem as the page shows it: its rules by name, and whether it is accepted. */
export interface ProblemLine {
  key: string;
  problem: Problem;
  rules: { name: string; link: RuleLink | null }[];
  accepted: Accepted | null;
  /** The edition that is live and has no such problem; null where it has, or is not known to have none. */
  newSince: number | null;
  /** What accepting it keeps, but for the note. */
  acceptance: Omit<Accepted, 'note'>;
}

const NONE: readonly Accepted[] = [];

/** What the last audit found, each with its rules and whether it is accepted. */
export const selectProblems = createSelector(
  [
    (state: RootState) => state.check.audit,
    selectBook,
    selectCatalogue,
    selectGoods,
    (state: RootState) => state.draft.workbook.accepted ?? NONE,
    (state: RootState) => state.check.live,
    selectLive,
  ],
  (audit, book, catalogue, goods, accepted, known, live): ProblemLine[] =>
    (audit?.problems ?? []).map((problem) => {
      const where = causeKey(problem);
      const key = problemKey(problem);
      return {
        key,
        newSince: known && known.number === live?.number && !known.keys.includes(key) ? known.number : null,
        problem,
        rules: problem.where.map((rule) => ({
          name: ruleName(rule as RuleRef, book, goods),
          link: whereLink(book, rule),
        })),
        accepted: acceptanceOf(problem, accepted, book, catalogue),
        acceptance: { code: problem.code, where, print: printOf(problem, book, catalogue) },
      };
    }),
);

export type Gravity = Problem['gravity'];
export const GRAVITY_ORDER: readonly Gravity[] = ['stops', 'leaks', 'odd', 'data'];
