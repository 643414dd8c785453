import { useCallback, useRef } from 'react';

/** A function that stays the same object and does what the newest one does: what it is given to need not be drawn again. */
export const useSteady = <A extends unknown[], R>(act: (...args: A) => R): ((...args: A) => R) => {
  const newest = useRef(act);
  newest.current = act;
  return useCallback((...args: A) => newest.current(...args), []);
};
