import { extname, join } from 'node:path';
import { Worker } from 'node:worker_threads';

const ENDING = extname(__filename);

/** A thread begins as plain JavaScript: where this file is TypeScript, it has to load what reads that first. */
const programOf = (name: string): string => {
  const load = `require(${JSON.stringify(join(__dirname, `${name}.worker${ENDING}`))});`;
  return ENDING === '.ts' ? `require('tsx/cjs'); ${load}` : load;
};

/**
 * What a worker of this folder posts about some data, in a thread of its own, so that no request waits for it.
 * Rejects where the worker fails or takes longer than `longestMs`.
 */
export const beside = <T>(name: string, data: unknown, longestMs: number): Promise<T> =>
  new Promise((resolve, reject) => {
    const worker = new Worker(programOf(name), { eval: true, execArgv: [], workerData: data });
    const timer = setTimeout(() => {
      reject(new Error(`${name} took longer than ${longestMs} ms`));
      void worker.terminate();
    }, longestMs);
    worker.once('message', (answer: T) => resolve(answer));
    worker.once('error', reject);
    worker.once('exit', () => clearTimeout(timer));
  });
