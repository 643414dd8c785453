import { readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { join } from 'node:path';
import pino, { type Logger } from 'pino';
import { readTroubles } from '../carriers/misbehaviour.ts';
import { makeServer } from './app.ts';
import { beside } from './beside.ts';
import { demoEditions } from './demo-editions.ts';
import { Editions } from './editions.ts';
import { EVERY_S } from './last-hour-page.ts';
import { LastHour } from './last-hour.ts';
import { Metrics } from './metrics.ts';
import type { ReadEdition } from './read-edition.ts';
import type { EditionSource } from './served-edition.ts';
import type { Settings } from './settings.ts';
import { redisAnswers } from './shared-answers.ts';
import { stop } from './stop.ts';

const ROOT = join(__dirname, '..');
const LONGEST_MS = 60_000;

/** What one process is given by those around it. */
export interface Surroundings {
  /** The figures of every process, where there are several. */
  metricsOfAll?: () => Promise<string>;
  /** Told what this process counts. */
  onMetrics?: (metrics: Metrics) => void;
  onListening: (address: string) => void;
  /** Awaited when this process has finished what was under way, before it ends. */
  onClosed?: () => Promise<void>;
}

const versionOf = (): string =>
  (JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8')) as { version: string }).version;

const fail = (text: string): never => {
  console.error(text);
  process.exit(1);
};

/** The editions of a folder, read and watched; the demo's where there is none. */
const openEditions = async (folder: string | null, log: Logger): Promise<EditionSource> => {
  if (folder === null) return demoEditions();
  const editions = new Editions(
    folder,
    (refusal) => log.error(refusal, 'edition refused'),
    (name, text) => beside<ReadEdition>('read-edition', { name, text }, LONGEST_MS),
  );
  try {
    await editions.read();
  } catch {
    console.error(`EDITIONS must be a folder that can be read, not “${folder}”.`);
    process.exit(2);
  }
  editions.watch();
  return editions;
};

/** Ends a server when the system says so: what is under way is finished. */
const endOnSignals = (
  server: Server,
  editions: EditionSource,
  { onStop, onClosed }: { onStop: () => void; onClosed?: (() => Promise<void>) | undefined },
): void => {
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () => {
      onStop();
      if (editions instanceof Editions) editions.close();
      void stop(server)
        .then(onClosed)
        .then(() => process.exit(0));
    });
};

/** Reads what was counted now and then, for as long as the process lives. */
const gathering = (metricsOfAll: () => Promise<string>, log: pino.Logger): LastHour => {
  const hour = new LastHour();
  const take = (): void =>
    void metricsOfAll().then(
      (text) => hour.take(text, Date.now()),
      (error: unknown) => log.warn({ error }, 'the figures of the last hour were not read'),
    );
  take();
  setInterval(take, EVERY_S * 1_000).unref();
  return hour;
};

/** Serves the program and its quote service from this process until it is told to stop. */
export const serve = async (
  { port, host, hosts, folder, keys, origins, logLevel, troubles, secrets, redis }: Settings,
  { metricsOfAll, onMetrics, onListening, onClosed }: Surroundings,
): Promise<void> => {
  const log = pino({ level: logLevel, base: { pid: process.pid } });
  const editions = await openEditions(folder, log);
  const metrics = new Metrics(editions);
  onMetrics?.(metrics);
  const allMetrics = metricsOfAll ?? (() => metrics.registry.metrics());
  const lastHour = gathering(allMetrics, log);
  const shared = redis === null ? null : redisAnswers(redis, (text) => log.warn(text));
  let isStopping = false;
  const server = makeServer({
    ...{ editions, metrics, keys, origins, hosts, lastHour },
    metricsOfAll: allMetrics,
    webRoot: join(ROOT, 'dist'),
    troubles: readTroubles(troubles),
    ...(secrets ? { secrets } : {}),
    ...(shared ? { shared } : {}),
    isStopping: () => isStopping,
    note: (line) => log.info(line, 'request'),
    log: (error) => log.error(error),
    version: versionOf(),
  }).listen(port, host, (error?: Error) => {
    if (error) return;
    const address = server.address();
    onListening(`http://${host}:${typeof address === 'object' && address ? address.port : port}`);
  });
  server.on('error', (error: NodeJS.ErrnoException) =>
    fail(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is taken by another program. Choose another, as: PORT=${port + 1} npm start`
        : `The server could not start: ${error.message}`,
    ),
  );
  endOnSignals(server, editions, {
    onStop: () => (isStopping = true),
    onClosed: async () => {
      shared?.close();
      await onClosed?.();
    },
  });
};
