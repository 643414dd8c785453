import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { createClient } from '@redis/client';
import { makeAsker, type Asker } from '../carriers/asking.ts';
import { makeQuestion } from '../carriers/testing/question.ts';
import type { CarrierQuestion } from '../core/model/carrier.ts';
import { redisAnswers, type RedisAnswers } from './shared-answers.ts';

const REDIS = process.env['REDIS_SERVER'] ?? '/usr/bin/redis-server';
/** A Redis of this machine; where there is none, what goes without one is still tried. */
const withRedis = existsSync(REDIS) ? test : test.skip;

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });

const started = async (port: number): Promise<ChildProcess> => {
  const child = spawn(REDIS, [
    '--port',
    String(port),
    '--save',
    '',
    '--appendonly',
    'no',
    '--bind',
    '127.0.0.1',
  ]);
  await new Promise<void>((resolve) =>
    child.stdout?.on('data', (text: Buffer) => {
      if (text.toString().includes('Ready to accept connections')) resolve();
    }),
  );
  return child;
};

const ended = (child: ChildProcess): Promise<void> =>
  new Promise((resolve) => {
    child.once('exit', () => resolve());
    child.kill('SIGKILL');
  });

const until = async (holds: () => boolean | Promise<boolean>): Promise<void> => {
  while (!(await holds())) await new Promise((resolve) => setTimeout(resolve, 20));
};

const answered = ({ key }: CarrierQuestion) => ({
  ...{ key, ok: true },
  services: [{ code: 'ground', name: 'Ground', amount: 1_200 }],
});

const world = (shared: RedisAnswers): { asker: Asker; sent: CarrierQuestion[] } => {
  const sent: CarrierQuestion[] = [];
  const send = async (question: CarrierQuestion): Promise<unknown> => {
    sent.push(question);
    return answered(question);
  };
  return {
    sent,
    asker: makeAsker({ send, shared, now: () => performance.now(), random: () => 0.5 }),
  };
};
const asked = [{ question: makeQuestion(), timeoutMs: 1_000 }];

withRedis(
  'an answer is asked for once by two processes, kept for ten minutes, and its key says nothing',
  async () => {
    const port = await freePort();
    const redis = await started(port);
    const url = `redis://127.0.0.1:${port}`;
    const [one, other] = [redisAnswers(url, () => undefined), redisAnswers(url, () => undefined)];
    const reader = await createClient({ url }).connect();
    const first = world(one);
    // Until the connection stands nothing is shared, and the carrier is asked all the same.
    await until(async () => {
      await first.asker.ask(asked);
      first.asker.forget();
      return (await reader.keys('*')).length > 0;
    });
    const second = world(other);
    await until(async () => (await other.find(makeQuestion())) !== null);
    expect(await second.asker.ask(asked)).toEqual([answered(makeQuestion())]);
    expect(second.sent).toEqual([]);
    const [key = ''] = await reader.keys('*');
    expect(key).toMatch(/^emporos:answer:[0-9a-f]{64}$/);
    const left = await reader.pTTL(key);
    expect(left).toBeGreaterThan(590_000);
    expect(left).toBeLessThanOrEqual(600_000);
    for (const connection of [one, other]) connection.close();
    reader.destroy();
    await ended(redis);
  },
);

withRedis(
  'a Redis that goes away is said once, costs no quote, and is used again when it is back',
  async () => {
    const port = await freePort();
    let redis = await started(port);
    const said: string[] = [];
    const shared = redisAnswers(`redis://127.0.0.1:${port}`, (text) => said.push(text));
    const { asker, sent } = world(shared);
    await until(async () => {
      await shared.keep(makeQuestion(), answered(makeQuestion()) as never);
      return (await shared.find(makeQuestion())) !== null;
    });
    await ended(redis);
    await until(() => said.length > 0);
    expect(await asker.ask(asked)).toEqual([answered(makeQuestion())]);
    expect(sent).toHaveLength(1);
    redis = await started(port);
    await until(() => said.length > 1);
    expect(said).toEqual([
      expect.stringMatching(/^Redis cannot be reached, and carriers’ answers are not shared: /),
      'Redis is reached again, and carriers’ answers are shared.',
    ]);
    shared.close();
    await ended(redis);
  },
);

test('a Redis that is not there is said once, and every quote is asked for', async () => {
  const said: string[] = [];
  const shared = redisAnswers(`redis://127.0.0.1:${await freePort()}`, (text) => said.push(text));
  const { asker, sent } = world(shared);
  await until(() => said.length > 0);
  expect(await asker.ask(asked)).toEqual([answered(makeQuestion())]);
  expect(sent).toHaveLength(1);
  shared.close();
  expect(said).toHaveLength(1);
});
