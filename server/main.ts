import cluster from 'node:cluster';
import { amongOthers, keepProcesses } from './processes.ts';
import { serve } from './serve.ts';
import { readSettings } from './settings.ts';

const read = readSettings(process.env);
if (!read.ok) {
  console.error(read.text);
  process.exit(2);
}
const tell = (address: string): void => console.log(`Emporos is at ${address}`);
const { settings } = read;
if (settings.workers === 1) void serve(settings, { onListening: tell });
else if (cluster.isPrimary) {
  // Not what this process was started with, which may be what made this file.
  cluster.setupPrimary({ exec: __filename });
  void keepProcesses(settings, tell);
} else void serve(settings, amongOthers());
