import { createSelector } from '@reduxjs/toolkit';
import { neverActs, type Idle } from '../../../../core/audit/never-acts.ts';
import type { Naming } from '../../../../core/adjust/adjustment-kind.ts';
import { adjustmentSentence } from '../../../../core/adjust/adjustment-phrase.ts';
import type { PlaceNames } from '../../../../core/place/region-phrase.ts';
import { idleSentence } from '../../../../core/audit/idle-sentence.ts';
import { selectBook, selectGoods, selectPreview, selectDisplayFormat } from '../../../state/selectors.ts';
import type { RootState } from '../../../state/store.ts';

/** What the ids in the rules of the draft name. */
export const selectNaming = createSelector(
  [selectBook, selectGoods, selectDisplayFormat],
  (book, goods, display): Naming => ({ book, goods, display }),
);

/** One adjustment as its list says it. */
export interface AdjustmentLine {
  sentence: string;
  /** Why it can never act, or null. */
  idle: { why: Idle['why']; text: string } | null;
}

/** What is said of each adjustment; `on` is the day from which it may act, `places` are the names of countries and regions. */
export const selectAdjustmentLines = createSelector(
  [
    selectNaming,
    selectBook,
    (_: RootState, on: string) => on,
    (_: RootState, _on: string, places: PlaceNames) => places,
  ],
  (naming, book, on, places): ReadonlyMap<string, AdjustmentLine> =>
    new Map(
      book.adjustments.map((adjustment) => {
        const idle = neverActs(adjustment, book, on);
        const line = {
          sentence: adjustmentSentence(adjustment, {
            ...naming,
            display: { ...naming.display, regionName: places },
          }),
          idle: idle && { why: idle.why, text: idleSentence(idle) },
        };
        return [adjustment.id, line];
      }),
    ),
);

/** What an adjustment did on the preview: which choices it changed and by how much, which it withheld. */
export interface PreviewWitness {
  changed: { name: string; by: number }[];
  withheld: string[];
}

/** What each adjustment did to the order that the preview shows. */
export const selectPreviewWitness = createSelector(
  [selectPreview],
  (preview): ReadonlyMap<string, PreviewWitness> => {
    const seen = new Map<string, PreviewWitness>();
    const of = (id: string): PreviewWitness => {
      const known = seen.get(id) ?? { changed: [], withheld: [] };
      seen.set(id, known);
      return known;
    };
    if (!preview?.ok) return seen;
    for (const { name, working } of preview.quote.choices)
      for (const { step, from, change } of working)
        if (step === 'adjustment') of(from.id).changed.push({ name, by: change });
    for (const { name, from } of preview.quote.withheld)
      if (from.kind === 'adjustment') of(from.id).withheld.push(name);
    return seen;
  },
);
