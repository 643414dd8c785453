import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { ReadShop } from './read-shop.ts';

/** Reads a shop out of the text of a request. */
export type ShopReader = (text: string) => ReadShop | Promise<ReadShop>;

const LONGEST_MS = 30_000;

/** A thread begins as plain JavaScript: it has to load what reads TypeScript first. */
const PROGRAM = `require('tsx/cjs'); require(${JSON.stringify(join(__dirname, 'read-shop.worker.ts'))});`;

/**
 * Reads shops in a thread of their own, so that a large one, or one with many faults, keeps no other request waiting.
 * One that takes longer than thirty seconds is given up.
 */
export const readShopBeside: ShopReader = (text) =>
  new Promise((resolve, reject) => {
    const worker = new Worker(PROGRAM, { eval: true, execArgv: [], workerData: text });
    const timer = setTimeout(() => {
      resolve({ ok: false, code: 'too-slow', detail: '' });
      void worker.terminate();
    }, LONGEST_MS);
    worker.once('message', (read: ReadShop) => resolve(read));
    worker.once('error', reject);
    worker.once('exit', () => clearTimeout(timer));
  });
