/** How long what is opened or gone back to may take to be drawn, as where its part of the program must arrive first. */
const PATIENCE_MS = 20_000;

/** A wait for what is drawn late: it is aborted after a while, and as soon as somebody goes on: they are not taken back. */
export const waitForDrawing = (): AbortController => {
  const waiting = new AbortController();
  const timer = setTimeout(() => waiting.abort(), PATIENCE_MS);
  waiting.signal.addEventListener('abort', () => clearTimeout(timer));
  for (const kind of ['pointerdown', 'keydown', 'wheel', 'touchmove'] as const)
    window.addEventListener(kind, () => waiting.abort(), { capture: true, signal: waiting.signal });
  return waiting;
};
