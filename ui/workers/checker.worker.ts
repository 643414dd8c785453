import '../language/speak-in-worker.ts';
import { expose } from 'comlink';
import { makeChecker } from './checker.ts';

expose(makeChecker());
