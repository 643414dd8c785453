/**
 * Lets the browser keep the whole program, so that it opens without a network. Only an exported program has
 * a worker for it; where there is none, or the browser refuses, the program works as before.
 */
export const keepOffline = (): void => {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  navigator.serviceWorker.register('/sw.js').catch((error: unknown) => {
    console.warn('The program is not kept for use without a network:', error);
  });
};
