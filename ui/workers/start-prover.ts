import { wrap, type Remote } from 'comlink';
import type { Prover } from './prover.ts';

/** The prover in a worker of its own, and what ends it. */
export const startProver = (): { prover: Remote<Prover>; stop: () => void } => {
  const worker = new Worker(new URL('./prover.worker.ts', window.location.href));
  return { prover: wrap<Prover>(worker), stop: () => worker.terminate() };
};
