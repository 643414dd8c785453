import { parentPort, workerData } from 'node:worker_threads';
import { readShop } from './read-shop.ts';

parentPort?.postMessage(readShop(String(workerData)));
