import { createSelector } from '@reduxjs/toolkit';
import type { Choice } from '../../core/model/quote.ts';
import { selectPreview, selectPreviewBefore, type PreviewQuote } from '../state/selectors.ts';

/** What a change did to the choices of a preview. */
export interface PreviewChanges {
  /** The charges before, by choice. */
  before: ReadonlyMap<string, number>;
  gained: ReadonlySet<string>;
  lost: Choice[];
}

const NOTHING: PreviewChanges = { before: new Map(), gained: new Set(), lost: [] };

/** The difference between two previews of one test order; nothing where there is no earlier one to compare with. */
export const previewChanges = (before: PreviewQuote | null, now: PreviewQuote | null): PreviewChanges => {
  if (!before?.ok || !now?.ok) return NOTHING;
  const had = new Map(before.quote.choices.map((choice) => [choice.id, choice.charge]));
  const has = new Set(now.quote.choices.map((choice) => choice.id));
  return {
    before: had,
    gained: new Set([...has].filter((id) => !had.has(id))),
    lost: before.quote.choices.filter((choice) => !has.has(choice.id)),
  };
};

/** What the edit under way changes of the preview. */
export const selectPreviewChanges = createSelector([selectPreviewBefore, selectPreview], previewChanges);
