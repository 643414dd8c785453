import { parentPort, workerData } from 'node:worker_threads';
import { readEdition } from './read-edition.ts';

const { name, text } = workerData as { name: string; text: string };
void readEdition(name, text).then((read) => parentPort?.postMessage(read));
