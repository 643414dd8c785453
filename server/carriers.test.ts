import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import { makeQuestion } from '../carriers/testing/question.ts';
import { listen } from './testing/listening.ts';

let server: Server;
let api = '';
/** The cookies of the browser session that the tests act as. */
let cookie = '';

beforeAll(async () => {
  const now = () => new Date('2026-11-25T14:00:00Z');
  const listening = await listen({ webRoot: tmpdir(), now });
  server = listening.server;
  api = `${listening.origin}/api`;
});
afterAll(async () => {
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
});
afterEach(() => send('PUT', '/carriers/troubles', { troubles: [] }));

const send = async (method: string, path: string, body?: unknown): Promise<Response> => {
  const response = await fetch(api + path, {
    method,
    headers: { 'content-type': 'application/json', cookie },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
  cookie = response.headers.get('set-cookie')?.split(';')[0] ?? cookie;
  return response;
};
const errorOf = async (response: Promise<Response>): Promise<[number, string]> => {
  const { status, ...rest } = await response.then(async (one) => ({
    status: one.status,
    ...((await one.json()) as { detail: string }),
  }));
  return [status, rest.detail];
};
const booking = {
  question: makeQuestion(),
  service: 'ground',
  reference: 'W-1',
  bookedAt: '2026-11-25T14:00:00Z',
};

describe('a carrier over HTTP', () => {
  test('answers a question with its services', async () => {
    const response = await send('POST', '/carriers/fulmar/rates', makeQuestion());
    expect([response.status, await response.json()]).toMatchObject([200, { ok: true, key: 'account' }]);
  });

  test('says in a sentence what is wrong with a request', async () => {
    const rates = '/carriers/fulmar/rates';
    expect(await errorOf(send('POST', '/carriers/auk/rates', makeQuestion()))).toEqual([
      404,
      'there is no such carrier',
    ]);
    expect(await errorOf(send('POST', rates, '{'))).toEqual([400, 'the request is no JSON']);
    const [status, text] = await errorOf(send('POST', rates, { ...makeQuestion(), parcels: [] }));
    expect([status, text.startsWith('parcels:')]).toEqual([400, true]);
    const long = { ...makeQuestion(), key: 'x'.repeat(1_100_000) };
    expect(await errorOf(send('POST', rates, long))).toEqual([413, 'the request is larger than 1 MB']);
  });

  test('never repeats a secret', async () => {
    const credentials = { kind: 'own', accountNumber: 'T7-55208', secret: 'very secret' };
    const answers = await Promise.all([
      send('POST', '/carriers/fulmar/rates', { ...makeQuestion(), credentials }),
      send('POST', '/carriers/fulmar/rates', { ...makeQuestion(), credentials, currency: 'x' }),
      send('POST', '/carriers/fulmar/shipments', {
        ...booking,
        question: { ...makeQuestion(), credentials },
      }),
    ]);
    for (const answer of answers) expect(await answer.text()).not.toContain('very secret');
  });

  test('books, labels, tracks and cancels a shipment', async () => {
    const booked = await send('POST', '/carriers/fulmar/shipments', booking);
    const { shipment } = (await booked.json()) as { shipment: { tracking: string } };
    expect(booked.status).toBe(201);
    expect((await send('POST', '/carriers/fulmar/shipments', booking)).status).toBe(200);
    const path = `/carriers/fulmar/shipments/${shipment.tracking}`;
    expect(await (await send('GET', path)).json()).toMatchObject({
      steps: [{ text: 'Booked: Fulmar ground' }],
    });
    const label = await send('GET', `${path}/label.pdf`);
    expect(label.headers.get('content-type')).toBe('application/pdf');
    expect((await label.text()).slice(0, 5)).toBe('%PDF-');
    expect(await (await send('DELETE', path)).json()).toMatchObject({
      shipment: { cancelledAt: expect.anything() },
    });
    for (const method of ['GET', 'DELETE'])
      expect(await errorOf(send(method, '/carriers/fulmar/shipments/none'))).toEqual([
        404,
        'there is no shipment of that number',
      ]);
    expect(
      await errorOf(send('POST', '/carriers/fulmar/shipments', { ...booking, service: 'none' })),
    ).toEqual([422, 'the service none does not take this shipment']);
  });

  test('misbehaves for the browser session that said so, and for no other', async () => {
    await send('PUT', '/carriers/troubles', {
      troubles: [{ carrier: 'fulmar', trouble: 'refusing', lasts: 'always' }],
    });
    const mine = cookie;
    expect((await send('POST', '/carriers/fulmar/rates', makeQuestion())).status).toBe(503);
    cookie = '';
    expect((await send('POST', '/carriers/fulmar/rates', makeQuestion())).status).toBe(200);
    expect(await (await send('GET', '/carriers/troubles')).json()).toEqual({ troubles: [] });
    cookie = mine;
    expect(await (await send('GET', '/carriers/troubles')).json()).toMatchObject({
      troubles: [{ trouble: 'refusing' }],
    });
    const set = await send('PUT', '/carriers/troubles', { troubles: [] });
    expect(set.headers.get('set-cookie')).not.toMatch(/expires|max-age/i);
  });

  test('misbehaves as it is told to, once or until it is told otherwise', async () => {
    const told = (trouble: string, lasts = 'once') =>
      send('PUT', '/carriers/troubles', { troubles: [{ carrier: 'fulmar', trouble, lasts }] });
    const ask = () => send('POST', '/carriers/fulmar/rates', makeQuestion());
    await told('refusing');
    expect([(await ask()).status, (await ask()).status]).toEqual([503, 200]);
    await told('rubbish', 'always');
    expect((await ask()).headers.get('content-type')).toContain('html');
    expect((await send('GET', '/carriers/troubles').then((response) => response.json())) as unknown).toEqual({
      troubles: [{ carrier: 'fulmar', trouble: 'rubbish', lasts: 'always' }],
    });
    await told('unreachable');
    await expect(ask()).rejects.toThrow();
    await told('slow');
    await expect(
      fetch(`${api}/carriers/fulmar/rates`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', cookie },
        body: JSON.stringify(makeQuestion()),
        signal: AbortSignal.timeout(300),
      }),
    ).rejects.toThrow();
    expect((await errorOf(told('sulking')))[0]).toBe(400);
  });
});
