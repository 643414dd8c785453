import { expose } from 'comlink';
import { makeListReader } from './list-reader.ts';

expose(makeListReader());
