import { spawn, type ChildProcess } from 'node:child_process';
import { demoCarriers } from '../demo/carriers.ts';
import { demoTestOrders } from '../demo/test-orders.ts';

/** The checkout's quotes over HTTP while one of three carriers is down; the load comes from this process, the server is another. */
const PORT = 4319;
const ORIGIN = `http://127.0.0.1:${PORT}`;
const A_SECOND = 200;
const SECONDS = 60;
const SLACK_MS = 100;
const DOWN = 'fulmar';

const patience = Math.max(...demoCarriers.map(({ timeoutMs }) => timeoutMs));

const startServer = async (): Promise<ChildProcess> => {
  const server = spawn(process.execPath, ['scripts/serve.mjs'], {
    env: { ...process.env, PORT: String(PORT), CARRIER_TROUBLES: `${DOWN}=slow` },
  });
  await new Promise((resolve) => server.stdout?.once('data', resolve));
  return server;
};

interface Answered {
  ms: number;
  ok: boolean;
}

const ask = async (request: unknown): Promise<Answered> => {
  const from = performance.now();
  try {
    const response = await fetch(`${ORIGIN}/api/editions/demo/quotes`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(request),
    });
    const quote = (await response.json()) as { choices?: unknown[] };
    return { ms: performance.now() - from, ok: response.ok && Array.isArray(quote.choices) };
  } catch {
    return { ms: performance.now() - from, ok: false };
  }
};

const requests = demoTestOrders
  .map(({ request }) => request)
  .filter(({ destination }) => destination !== null);
const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** So many requests a second for a minute, each sent when it is due whether the others are answered or not. */
const load = async (): Promise<Answered[]> => {
  const answers: Promise<Answered>[] = [];
  const from = performance.now();
  for (let at = 0; at < A_SECOND * SECONDS; at += 1) {
    const due = from + (at * 1_000) / A_SECOND;
    if (due > performance.now()) await pause(due - performance.now());
    answers.push(ask(requests[at % requests.length]));
  }
  return Promise.all(answers);
};

const main = async (): Promise<void> => {
  const server = await startServer();
  const cold = await Promise.all(requests.map(ask));
  const answers = await load();
  server.kill();
  const times = answers.map(({ ms }) => ms).sort((a, b) => a - b);
  const errors = [...cold, ...answers].filter(({ ok }) => !ok).length;
  const slowest = Math.max(...cold.map(({ ms }) => ms), times.at(-1) ?? 0);
  const isKept = errors === 0 && slowest <= patience + SLACK_MS;
  console.log(`\nCheckout with three carriers, ${DOWN} down: ${A_SECOND} quotes a second for ${SECONDS} s`);
  console.log(
    `  median ${times[Math.floor(times.length / 2)]?.toFixed(1)} ms, 99th percentile ${times[Math.floor(times.length * 0.99)]?.toFixed(1)} ms`,
  );
  console.log(
    `  slowest ${slowest.toFixed(0)} ms, errors ${errors}  ${isKept ? 'reached' : 'MISSED'}: ${patience + SLACK_MS} ms, none`,
  );
  if (!isKept) process.exitCode = 1;
};

void main();
