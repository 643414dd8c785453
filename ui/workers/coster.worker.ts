import { expose } from 'comlink';
import { makeCoster } from './costs/coster.ts';

expose(makeCoster());
