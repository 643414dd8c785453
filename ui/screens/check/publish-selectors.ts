import { createSelector } from '@reduxjs/toolkit';
import { t } from '../../../core/translate/translate.ts';
import { differences, type Change } from '../../../core/publish/differences.ts';
import type { PlaceNames } from '../../../core/place/region-phrase.ts';
import type { Edition } from '../../../core/formats/edition.ts';
import { whereLink, type RuleLink } from '../../preview/rule-link.ts';
import { selectBook, selectCatalogue } from '../../state/selectors.ts';
import { selectLive } from '../../state/served.ts';
import type { RootState } from '../../state/store.ts';
import { selectProblems } from './problem-selectors.ts';
import { selectTestOrderCounts } from './test-orders-selectors.ts';

/** A change in a sentence, with the way to its rule. */
export interface ChangeLine {
  text: string;
  link: RuleLink | null;
}

/** What the draft changes against the live edition, rule by rule; null where nothing is live. */
export const selectDraftChanges = createSelector(
  [selectLive, selectBook, selectCatalogue, (_: RootState, names: PlaceNames) => names],
  (live, book, catalogue, names): ChangeLine[] | null =>
    live &&
    differences(live, { book, catalogue }, names).map(({ text, where }: Change) => ({
      text,
      link: whereLink(book, where),
    })),
);

/** What keeps the draft from being published without a reason. */
export interface Obstacle {
  text: string;
  part: 'testOrders' | 'problems';
}

/** Broken test orders and problems that stop; an audit that is not of this draft is none yet. */
export const selectObstacles = createSelector(
  [selectTestOrderCounts, selectProblems],
  ({ broken }, problems): Obstacle[] => {
    const standing = problems.filter(({ problem, accepted }) => problem.gravity === 'stops' && !accepted);
    const stops = standing.length;
    const vast = standing.filter(({ problem }) => problem.isVast).length;
    const inLarge = vast === 0 ? '' : t(', {vast} of them only in very large orders', { vast });
    const since = standing.filter(({ newSince }) => newSince !== null);
    const fresh =
      since.length === 0
        ? ''
        : t(', {count} new since edition {newSince}', {
            count: since.length,
            newSince: since[0]?.newSince ?? '',
          });
    return [
      ...(broken > 0
        ? [
            {
              text: t(
                '{broken} {broken, plural, one {test order is} other {test orders are}} not as expected.',
                { broken },
              ),
              part: 'testOrders' as const,
            },
          ]
        : []),
      ...(stops > 0
        ? [
            {
              text: t(
                '{stops} {stops, plural, one {problem keeps} other {problems keep}} customers from buying{inLarge}{fresh}.',
                { stops, inLarge, fresh },
              ),
              part: 'problems' as const,
            },
          ]
        : []),
    ];
  },
);

/** Whether the last audit and the last run of the test orders were of the draft as it stands. */
export const selectIsChecked = (state: RootState): boolean => {
  const { audit, isOld, check } = state.check;
  return (
    check !== null &&
    !isOld &&
    audit?.book === selectBook(state) &&
    audit.catalogue === selectCatalogue(state)
  );
};

/** What changed between two editions, in sentences. */
export const changesBetween = (before: Edition, after: Edition, names: PlaceNames): string[] =>
  differences(before, after, names).map(({ text }) => text);
