import { tmpdir } from 'node:os';
import { makeRequest } from '../core/testing/book.ts';
import { heldEditions } from './held-editions.ts';
import { stop } from './stop.ts';
import { listen, makeEdition, type Listening } from './testing/listening.ts';

const ORIGIN = 'https://shop.example';
const FOREIGN = 'https://foreign.example';
const running: Listening[] = [];

/** Asks a service that lets pages of some origins ask for a quote, or another method at its address. */
const asked = async (
  origins: readonly string[],
  headers: Record<string, string>,
  method = 'POST',
): Promise<Response> => {
  const editions = heldEditions({ yard: [makeEdition()] });
  const one = await listen({ webRoot: tmpdir(), editions, origins });
  running.push(one);
  return fetch(`${one.origin}/api/editions/yard/quotes`, {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    ...(method === 'POST' ? { body: JSON.stringify(makeRequest()) } : {}),
  });
};

afterEach(async () => {
  await Promise.all(running.splice(0).map(({ server }) => stop(server, 0)));
});

test.each(['POST', 'OPTIONS'])(
  'pages of listed origins may ask from a browser (%s), no others',
  async (method) => {
    const allowed = async (origins: readonly string[], origin: string): Promise<string | null> =>
      (await asked(origins, { origin }, method)).headers.get('access-control-allow-origin');
    expect(await allowed([ORIGIN], ORIGIN)).toBe(ORIGIN);
    expect(await allowed([ORIGIN], FOREIGN)).toBeNull();
    expect(await allowed([], FOREIGN)).toBeNull();
  },
);

test('a quote is said to be JSON, and how long it is', async () => {
  const answer = await asked([], { 'accept-encoding': 'identity' });
  const text = await answer.text();
  expect(answer.headers.get('content-type')).toBe('application/json; charset=utf-8');
  expect(answer.headers.get('content-length')).toBe(String(Buffer.byteLength(text)));
});
