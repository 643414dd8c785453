import { join } from 'node:path';
import { Worker } from 'node:worker_threads';

/** A thread begins as plain JavaScript: it has to load what reads TypeScript first. */
const programOf = (name: string): string =>
  `require('tsx/cjs'); require(${JSON.stringify(join(__dirname, `${name}.worker.ts`))});`;

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
