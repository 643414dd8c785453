import { expose } from 'comlink';
import { makeProver } from './prover.ts';

expose(makeProver());
