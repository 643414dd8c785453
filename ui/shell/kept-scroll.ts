import { waitForDrawing } from '../parts/waiting.ts';

/** How long it is held there: a page may be drawn twice. */
const HOLD_MS = 1_000;

const MAIN = ':is(main, [role="main"])';

/** The element of the page that is scrolled: the largest that can be. */
const scrolledElement = (): Element | null => {
  let found: Element | null = null;
  let largest = 0;
  for (const one of document.querySelectorAll(`${MAIN} *`)) {
    const size = one.clientHeight * one.clientWidth;
    if (size <= largest || !/auto|scroll/.test(getComputedStyle(one).overflowY)) continue;
    found = one;
    largest = size;
  }
  return found;
};

/** The step of the browser's history that is shown; the router names each. */
const stepNow = (): string | undefined => (history.state as { id?: string } | null)?.id;

/** Scrolls a page as far as it was, as soon as it is as long; ends when somebody goes on, or after a while. */
const scrollBack = (top: number): (() => void) => {
  const waiting = waitForDrawing();
  let hold: ReturnType<typeof setTimeout> | undefined;
  const scroll = (): void => {
    const scrolled = scrolledElement();
    if (!scrolled) return;
    scrolled.scrollTop = top;
    if (Math.abs(scrolled.scrollTop - top) <= 1) hold ??= setTimeout(() => waiting.abort(), HOLD_MS);
    for (const content of scrolled.children) growth.observe(content);
  };
  const growth = new ResizeObserver(scroll);
  const drawing = new MutationObserver(scroll);
  drawing.observe(document.body, { childList: true, subtree: true });
  waiting.signal.addEventListener('abort', () => {
    clearTimeout(hold);
    drawing.disconnect();
    growth.disconnect();
  });
  return () => waiting.abort();
};

/** How far the page of each step was scrolled when it was left, by a press. */
const tops = new Map<string, number>();
let stop = (): void => undefined;

/** The step that was noted last, until something is scrolled: looking for what scrolls asks for the whole page's layout. */
let notedStep: string | undefined;

const forget = (): void => {
  notedStep = undefined;
};

const note = (): void => {
  const step = stepNow();
  if (step === undefined || step === notedStep) return;
  const scrolled = scrolledElement();
  if (!scrolled) return;
  tops.set(step, scrolled.scrollTop);
  notedStep = step;
};

/** Keys open things as well; those that are typed into a field do not. */
const noteKey = ({ key, target }: KeyboardEvent): void => {
  const isTyped = target instanceof Element && target.matches('input, textarea');
  if (!isTyped || key === 'Enter') note();
};

const goBack = (): void => {
  stop();
  const top = tops.get(stepNow() ?? '');
  if (top !== undefined) stop = scrollBack(top);
};

/**
 * A page that is gone back to stands where it was left. It is asked for once: the frame itself may be drawn anew on the
 * way back.
 */
export const keepScroll = (): void => {
  if (typeof window === 'undefined' || typeof window.addEventListener !== 'function') return;
  window.addEventListener('scroll', forget, { capture: true, passive: true });
  window.addEventListener('click', note, true);
  window.addEventListener('keydown', noteKey, true);
  window.addEventListener('popstate', goBack);
};
