import { previewOpened } from '../state/session.ts';
import type { AppStore } from '../state/store.ts';

interface SheetState {
  sheet?: boolean;
}

/** The browser's way back closes the preview's sheet first: it is a step of its own, at the address it was opened on. */
export const beginSheetStep = (): void =>
  window.history.pushState({ ...(window.history.state as SheetState | null), sheet: true }, '');

/** Closes the preview: where its sheet is the last step, by going back, which closes it. */
export const closePreview = (dispatch: AppStore['dispatch']): void => {
  const isLast = (globalThis.history?.state as SheetState | null | undefined)?.sheet === true;
  if (isLast) window.history.back();
  else dispatch(previewOpened(false));
};
