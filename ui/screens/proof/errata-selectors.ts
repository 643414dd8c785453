import { createSelector } from '@reduxjs/toolkit';
import { acceptanceOf, causeKey, erratumKey, printOf, type Accepted } from '../../../core/audit/accepted.ts';
import type { Erratum } from '../../../core/model/erratum.ts';
import { ruleName } from '../../../core/words/erratum-sentence.ts';
import type { Where } from '../../../core/audit/finding.ts';
import { selectBook, selectCatalogue, selectGoods } from '../../state/selectors.ts';
import { selectLive } from '../../state/served.ts';
import type { RootState } from '../../state/store.ts';
import { whereLink, type RuleLink } from '../../slip/rule-link.ts';

/** An erratum as the page shows it: its rules by name, and whether it is accepted. */
export interface ErratumLine {
  key: string;
  erratum: Erratum;
  rules: { name: string; link: RuleLink | null }[];
  accepted: Accepted | null;
  /** The edition that is live and has no such erratum; null where it has, or is not known to have none. */
  newSince: number | null;
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
    (state: RootState) => state.proof.live,
    selectLive,
  ],
  (audit, book, catalogue, goods, accepted, known, live): ErratumLine[] =>
    (audit?.errata ?? []).map((erratum) => {
      const where = causeKey(erratum);
      const key = erratumKey(erratum);
      return {
        key,
        newSince: known && known.number === live?.number && !known.keys.includes(key) ? known.number : null,
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
