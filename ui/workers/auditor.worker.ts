import '../language/speak-in-worker.ts';
import { expose } from 'comlink';
import { makeAuditor } from './auditor.ts';

expose(makeAuditor());
