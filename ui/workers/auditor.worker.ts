import { expose } from 'comlink';
import { makeAuditor } from './auditor.ts';

expose(makeAuditor());
