import { expose } from 'comlink';
import { makeCoster } from './coster.ts';

expose(makeCoster());
