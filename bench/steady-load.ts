import { Agent, request } from 'node:http';

/** A request that is due at its own moment, whether or not those before it are answered. */
export interface SteadyLoad {
  url: string;
  bodies: readonly string[];
  /** Requests a second, evenly apart. */
  rate: number;
  seconds: number;
  /** As many are asked at once at most; the others wait. */
  connections: number;
}

const BETWEEN_LOOKS_MS = 1;

/** Milliseconds from the moment a request was due until its answer is read whole. */
const answeredAfter = (url: string, body: string, agent: Agent, due: number): Promise<number> =>
  new Promise((resolve, reject) => {
    const asked = request(
      url,
      { method: 'POST', agent, headers: { 'content-type': 'application/json' } },
      (answer) =>
        answer
          .on('end', () => resolve(performance.now() - due))
          .on('error', reject)
          .resume(),
    );
    asked.on('error', reject).end(body);
  });

/**
 * Asks at an even rate, as customers do who do not wait for each other, and gives the time of each request in
 * milliseconds, counted from when it was due, so that what waits behind a slow one counts as slow too.
 */
export const steadyLoad = async ({
  url,
  bodies,
  rate,
  seconds,
  connections,
}: SteadyLoad): Promise<number[]> => {
  const agent = new Agent({ keepAlive: true, maxSockets: connections });
  const count = Math.floor(rate * seconds);
  const from = performance.now();
  const answers: Promise<number>[] = [];
  await new Promise<void>((resolve) => {
    const timer = setInterval(() => {
      const isDue = Math.min(count, Math.floor(((performance.now() - from) / 1_000) * rate));
      while (answers.length < isDue) {
        const at = answers.length;
        const due = from + (at / rate) * 1_000;
        answers.push(answeredAfter(url, bodies[at % bodies.length] ?? '', agent, due));
      }
      if (answers.length < count) return;
      clearInterval(timer);
      resolve();
    }, BETWEEN_LOOKS_MS);
  });
  const times = await Promise.all(answers);
  agent.destroy();
  return times;
};
