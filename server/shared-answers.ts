import { createHash } from 'node:crypto';
import { createClient } from '@redis/client';
import { FRESH_MS, type SharedAnswers } from '../carriers/asking.ts';
import type { CarrierQuestion } from '../core/model/carrier.ts';

/** A slow Redis must not make a quote slow: what it does not say within this time it does not say. */
const LONGEST_MS = 60;
const MOST_BETWEEN_TRIES_MS = 5_000;

/** Answers of carriers kept in a Redis, until the connection is closed. */
export interface RedisAnswers extends SharedAnswers {
  close: () => void;
}

/** A question holds an address and a secret: neither can be read out of its hash. */
const keyOf = (question: CarrierQuestion): string =>
  `emporos:answer:${createHash('sha256').update(JSON.stringify(question)).digest('hex')}`;

const within = async <T>(work: Promise<T>): Promise<T> => {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Error('Redis did not answer in time')), LONGEST_MS);
  });
  try {
    return await Promise.race([work, late]);
  } finally {
    clearTimeout(timer);
  }
};

/**
 * Carriers' answers shared by processes and machines through a Redis, each for ten minutes. While it cannot be reached
 * nothing is shared and every process asks for itself; `log` is told when that begins and when it ends.
 */
export const redisAnswers = (url: string, log: (text: string) => void): RedisAnswers => {
  const client = createClient({
    url,
    disableOfflineQueue: true,
    socket: { reconnectStrategy: (tries) => Math.min(50 * 2 ** tries, MOST_BETWEEN_TRIES_MS) },
  });
  let isAway = false;
  client.on('error', (error: Error) => {
    if (!isAway) log(`Redis cannot be reached, and carriers’ answers are not shared: ${error.message}`);
    isAway = true;
  });
  client.on('ready', () => {
    if (isAway) log('Redis is reached again, and carriers’ answers are shared.');
    isAway = false;
  });
  void client.connect().catch(() => undefined);
  return {
    find: async (question) => {
      if (!client.isReady) return null;
      const text = await within(client.get(keyOf(question)));
      return text === null ? null : (JSON.parse(text) as unknown);
    },
    keep: async (question, answer) => {
      if (!client.isReady) return;
      await within(
        client.set(keyOf(question), JSON.stringify(answer), { expiration: { type: 'PX', value: FRESH_MS } }),
      );
    },
    close: () => client.destroy(),
  };
};
