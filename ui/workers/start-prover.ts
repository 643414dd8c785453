import { wrap, type Remote } from 'comlink';
import type { Prover } from './prover.ts';

/** The prover in a worker of its own. */
export const startProver = (): Remote<Prover> =>
  wrap<Prover>(new Worker(new URL('./prover.worker.ts', window.location.href)));
