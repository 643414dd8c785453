import { createSelector } from '@reduxjs/toolkit';
import { acceptanceOf, printOf, whereKey, type Accepted } from '../../../core/audit/accepted.ts';
import type { Erratum } from '../../../core/model/erratum.ts';
import { ruleName } from '../../../core/words/erratum-sentence.ts';
import type { Where } from '../../../core/audit/finding.ts';
import { selectBook, selectCatalogue, selectGoods } from '../../state/selectors.ts';
import type { RootState } from '../../state/store.ts';
import { whereLink, type RuleLink } from '../../slip/rule-link.ts';

/** An erratum as the page shows it: its rules by name, and whether it is accepted. */
export interface ErratumLine {
  key: string;
  erratum: Erratum;
  rules: { name: string; link: RuleLink | null }[];
  accepted: Accepted | null;
  /** What accepting it keeps, but for the note. */
  acceptance: Omit<Accepted, 'note'>;
}

const NONE: readonly Accepted[] = [];

/** What the last audit found, each with its rules and whether it is accepted. */
export const selectErrata = createSelector(
  [
    (state: RootState) => state.proof.audit,
    selectBook,
    selectCatalogue,
    selectGoods,
    (state: RootState) => state.draft.workbook.accepted ?? NONE,
  ],
  (audit, book, catalogue, goods, accepted): ErratumLine[] =>
    (audit?.errata ?? []).map((erratum) => {
      const where = whereKey(erratum);
      return {
        key: `${erratum.code} ${where}`,
        erratum,
        rules: erratum.where.map((rule) => ({
          name: ruleName(rule as Where, book, goods),
          link: whereLink(book, rule),
        })),
        accepted: acceptanceOf(erratum, accepted, book, catalogue),
        acceptance: { code: erratum.code, where, print: printOf(erratum, book, catalogue) },
      };
    }),
);

export type Gravity = Erratum['gravity'];
export const GRAVITY_ORDER: readonly Gravity[] = ['stops', 'leaks', 'odd', 'data'];
