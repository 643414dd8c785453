/**
 * Whether a person has pressed or typed something since the page came to its address: what opens after that was opened
 * by them, however long a slow device takes to draw it; what opens by the address alone was not. Going back, and a
 * phone that is turned, open things too, and are no acts of this kind; a keyboard that resizes the window by going away
 * is part of the press that did it.
 */
let hasActed = false;

const noteAct = (): void => {
  hasActed = true;
};

/** What opens from here on is opened by the address, until somebody acts again. */
export const forgetActs = (): void => {
  hasActed = false;
};

if (typeof window !== 'undefined' && typeof window.addEventListener === 'function') {
  for (const kind of ['pointerdown', 'keydown'] as const) window.addEventListener(kind, noteAct, true);
  for (const kind of ['popstate', 'orientationchange'] as const)
    window.addEventListener(kind, forgetActs, true);
}

/** Whether what opens now is opened by a person. */
export const isByPerson = (): boolean => hasActed;
