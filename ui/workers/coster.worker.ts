import '../language/speak-in-worker.ts';
import { expose } from 'comlink';
import { makeCoster } from './costs/coster.ts';

expose(makeCoster());
