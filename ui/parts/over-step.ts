import { useEffect, useRef } from 'react';

interface StepState {
  /** How many things lie over the page at this step of the browser's history. */
  over?: number;
}

const overNow = (): number => (globalThis.history?.state as StepState | null | undefined)?.over ?? 0;

/**
 * What lies over a page, as the preview on a phone, is a step of its own in the browser's history, at the address it was
 * opened on: the way back closes it before it leaves the page.
 */
export const useOverStep = (close: () => void): void => {
  const closes = useRef(close);
  closes.current = close;
  useEffect(() => {
    const level = overNow() + 1;
    window.history.pushState({ ...(window.history.state as StepState | null), over: level }, '');
    const leave = (): void => {
      if (overNow() < level) closes.current();
    };
    window.addEventListener('popstate', leave);
    return () => window.removeEventListener('popstate', leave);
  }, []);
};

/** Whether the way back was taken and has not arrived: a second press of Escape takes no second step. */
let isGoing = false;

const goBack = (): void => {
  if (isGoing) return;
  isGoing = true;
  window.addEventListener(
    'popstate',
    () => {
      isGoing = false;
    },
    { once: true },
  );
  window.history.back();
};

/** Closes what lies over the page: where it is the last step, by going back, which closes it. */
export const closeOver = (close: () => void): void => {
  if (overNow() > 0) goBack();
  else close();
};
