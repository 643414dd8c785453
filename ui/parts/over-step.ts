import { useEffect, useRef } from 'react';

interface StepState {
  /** How many things lie over the page at this step of the browser's history. */
  over?: number;
}

const overNow = (): number => (globalThis.history?.state as StepState | null | undefined)?.over ?? 0;

/** How many things lie over the page now. */
let open = 0;

/** A step of the browser's history. */
interface Entry {
  readonly index: number;
  readonly key: string;
  readonly url: string | null;
}

/** What of the browser's Navigation API is used; browsers of before 2026 may lack it. */
interface Navigation {
  readonly currentEntry: Entry | null;
  readonly canGoForward: boolean;
  addEventListener: (type: 'currententrychange', listener: (change: EntryChange) => void) => void;
}
interface EntryChange {
  readonly navigationType: string | null;
  readonly from: Entry;
}

const navigationHere = (): Navigation | undefined => (globalThis as { navigation?: Navigation }).navigation;

/** A step that was made for what lies over a page: how many things lay over it there, and the address they lay at. */
interface OverStep {
  level: number;
  url: string | null;
}

/** The steps that were made for what lies over a page, by their keys in the browser's history. */
const overSteps = new Map<string, OverStep>();

/** Whether a step is one of something that lay over a page and no longer does; another page may have taken its place. */
const isLeft = ({ key, url }: Entry): boolean => {
  const step = overSteps.get(key);
  return step !== undefined && step.level > open && step.url === url;
};

/**
 * Passes over a step of something that lay over a page and was left by a link: nothing is open there any more, so going
 * back or forward to it would show nothing new. Where the browser does not say which way was gone, it is not passed over.
 */
const passOverLeft = (navigation: Navigation): void =>
  navigation.addEventListener('currententrychange', ({ navigationType, from }) => {
    const here = navigation.currentEntry;
    if (navigationType !== 'traverse' || !here || !isLeft(here)) return;
    if (here.index > from.index && navigation.canGoForward) window.history.forward();
    else window.history.back();
  });

let isPassing = false;

/**
 * What lies over a page, as the preview on a phone, is a step of its own in the browser's history, at the address it was
 * opened on: the way back closes it before it leaves the page.
 */
export const useOverStep = (close: () => void): void => {
  const closes = useRef(close);
  closes.current = close;
  useEffect(() => {
    const navigation = navigationHere();
    if (navigation && !isPassing) passOverLeft(navigation);
    isPassing = true;
    const level = overNow() + 1;
    open = level;
    window.history.pushState({ ...(window.history.state as StepState | null), over: level }, '');
    const here = navigation?.currentEntry;
    if (here) overSteps.set(here.key, { level, url: here.url });
    const leave = (): void => {
      if (overNow() < level) closes.current();
    };
    window.addEventListener('popstate', leave);
    return () => {
      open = level - 1;
      window.removeEventListener('popstate', leave);
    };
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
