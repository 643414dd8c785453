import { wrap, type Remote } from 'comlink';
import { workerLanguage } from '../language/chosen-language.ts';
import type { Checker } from './checker.ts';

/** The checker in a worker of its own, and what ends it. */
export const startChecker = (): { checker: Remote<Checker>; stop: () => void } => {
  const worker = new Worker(new URL('./checker.worker.ts', window.location.href), { name: workerLanguage() });
  return { checker: wrap<Checker>(worker), stop: () => worker.terminate() };
};
