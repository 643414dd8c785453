import cluster, { type Worker } from 'node:cluster';
import { createServer, type AddressInfo } from 'node:net';
import { AggregatorRegistry } from 'prom-client';
import type { Surroundings } from './serve.ts';
import type { Settings } from './settings.ts';

/** A process that ended sooner than this after its start is not started again at once. */
const SOON_MS = 1_000;

interface MetricsAsked {
  want: 'metrics';
  id: number;
}
interface MetricsTold {
  metricsFor: number;
  /** The figures of all; null where a process did not give its own in time. */
  text: string | null;
}

const isAsked = (message: unknown): message is MetricsAsked =>
  (message as Partial<MetricsAsked> | null)?.want === 'metrics';

const exited = (worker: Worker): Promise<void> =>
  worker.isDead() ? Promise.resolve() : new Promise((resolve) => worker.once('exit', () => resolve()));
const listening = (worker: Worker): Promise<void> =>
  new Promise((resolve) => worker.once('listening', () => resolve()));

/** A port that is free now: where the system is to choose one, it chooses once, for every process that comes later too. */
const freePort = (host: string): Promise<number> =>
  new Promise((resolve, reject) => {
    const server = createServer().once('error', reject);
    server.listen(0, host, () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });

/**
 * Keeps so many processes answering at one port. One that ends by itself is started again; SIGHUP puts a new one in
 * the place of each, one after the other, so that no request is lost; SIGTERM lets all finish and ends.
 */
export const keepProcesses = async (
  { workers: count, host, port }: Pick<Settings, 'workers' | 'host' | 'port'>,
  onListening: (address: string) => void,
): Promise<void> => {
  const PORT = String(port || (await freePort(host)));
  const figures = new AggregatorRegistry();
  const leaving = new Set<Worker>();
  let isEnding = false;
  const start = (): Worker => {
    const from = Date.now();
    const worker = cluster.fork({ PORT });
    worker.on('message', (message: unknown) => {
      if (!isAsked(message)) return;
      void figures
        .clusterMetrics()
        .catch(() => null)
        .then((text) => worker.isConnected() && worker.send({ metricsFor: message.id, text }));
    });
    worker.once('exit', (code) => {
      if (isEnding || leaving.delete(worker)) return;
      if (code === 2) process.exit(2);
      setTimeout(() => isEnding || start(), Date.now() - from < SOON_MS ? SOON_MS : 0);
    });
    return worker;
  };
  const leave = (worker: Worker): Promise<void> => {
    leaving.add(worker);
    worker.process.kill('SIGTERM');
    return exited(worker);
  };
  const replaceEach = async (): Promise<void> => {
    for (const old of Object.values(cluster.workers ?? {})) {
      if (!old || isEnding) continue;
      await listening(start());
      await leave(old);
    }
  };
  const end = async (): Promise<void> => {
    isEnding = true;
    await Promise.all(Object.values(cluster.workers ?? {}).map((one) => one && leave(one)));
    process.exit(0);
  };
  cluster.once('listening', (_worker, { address }) =>
    onListening(`http://${address ?? '127.0.0.1'}:${PORT}`),
  );
  for (let at = 0; at < count; at += 1) start();
  process.on('SIGHUP', () => void replaceEach());
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => void end());
};

/**
 * Tells the first process that this one takes no more connections, and waits for its answer. A connection that was on
 * its way here is then handed to another process; one that ended without waiting would leave it open and unanswered.
 */
const leaveTheOthers = (): Promise<void> =>
  new Promise((resolve) => {
    if (!process.connected) return resolve();
    process.once('disconnect', () => resolve());
    cluster.worker?.disconnect();
  });

/** What a process that is one of several is given: its figures are added to the others' by the first. */
export const amongOthers = (): Surroundings => {
  const waiting = new Map<number, (text: string | null) => void>();
  let asked = 0;
  // Answers the first process whenever it asks for this one's figures.
  new AggregatorRegistry();
  process.on('message', ({ metricsFor, text }: Partial<MetricsTold>) => {
    if (metricsFor === undefined) return;
    waiting.get(metricsFor)?.(text ?? null);
    waiting.delete(metricsFor);
  });
  return {
    metricsOfAll: () =>
      new Promise((resolve, reject) => {
        asked += 1;
        waiting.set(asked, (text) =>
          text === null ? reject(new Error('a process did not give its figures')) : resolve(text),
        );
        process.send?.({ want: 'metrics', id: asked } satisfies MetricsAsked);
      }),
    onMetrics: ({ registry }) => AggregatorRegistry.setRegistries([registry]),
    onListening: () => undefined,
    onClosed: leaveTheOthers,
  };
};
