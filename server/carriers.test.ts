import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import type { Misbehaviour } from '../carriers/misbehaviour.ts';
import { makeQuestion } from '../carriers/testing/question.ts';
import { compile } from '../core/quote/compile.ts';
import { makeAccount, makeBook, makeCarrierPrice, makeCatalogue, makeRequest } from '../core/testing/book.ts';
import { makeServer } from './app.ts';

let server: Server;
let api = '';
/** The cookies of the browser session that the tests act as. */
let cookie = '';

const start = async (troubles: readonly Misbehaviour[] = []): Promise<void> => {
  const shops = new Map([['yard', compile(makeBook(), makeCatalogue())]]);
  const now = () => new Date('2026-11-25T14:00:00Z');
  server = makeServer({ webRoot: tmpdir(), shops, now, troubles }).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  api = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`;
};
const stop = async (): Promise<void> => {
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
};

beforeAll(() => start());
afterAll(stop);
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
    ...((await one.json()) as { error: string }),
  }));
  return [status, rest.error];
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

describe('quotes over HTTP', () => {
  const ask = (shop: string, request: unknown) => send('POST', `/shops/${shop}/quotes`, request);

  test('are of a shop that is there, for a sound request', async () => {
    expect(await (await ask('yard', makeRequest())).json()).toMatchObject({ choices: [{ charge: 845 }] });
    expect(await errorOf(ask('none', makeRequest()))).toEqual([404, 'there is no such shop']);
    expect((await errorOf(ask('yard', { ...makeRequest(), lines: [] })))[0]).toBe(400);
    const unknown = makeRequest({ lines: [{ sku: 'ghost', quantity: 1 }] });
    expect((await errorOf(ask('yard', unknown)))[1]).toContain('ghost');
  });

  test('are of a shop that was put there whole and sound', async () => {
    const dearer = { book: makeBook({ rates: [] }), catalogue: makeCatalogue() };
    expect((await send('PUT', '/shops/other', dearer)).status).toBe(204);
    expect(await (await ask('other', makeRequest())).json()).toMatchObject({
      choices: [],
      withheld: [{ code: 'no-rate' }],
    });
    expect((await errorOf(send('PUT', '/shops/other', { book: {} })))[0]).toBe(400);
    const catalogue = { ...makeCatalogue(), goods: 'none' };
    expect((await errorOf(send('PUT', '/shops/other', { ...dearer, catalogue })))[1]).toContain('goods');
    for (let at = 0; at < 6; at += 1) await send('PUT', `/shops/s${at}`, dearer);
    expect(await errorOf(send('PUT', '/shops/ninth', dearer))).toEqual([
      409,
      'no more than 8 shops are held at a time',
    ]);
  });

  test('ask the carriers, and say so where one is down', async () => {
    const account = makeAccount({ timeoutMs: 300 });
    const price = makeCarrierPrice();
    const plain = makeBook();
    const book = {
      ...plain,
      locations: [{ id: 'yard', name: 'Yard', address: makeQuestion().from, hours: [], closedDates: [] }],
      carriers: [account],
      rates: plain.rates.map((rate) => ({ ...rate, price })),
    };
    expect((await send('PUT', '/shops/yard', { book, catalogue: makeCatalogue() })).status).toBe(204);
    expect(await (await ask('yard', makeRequest())).json()).toMatchObject({
      choices: [{ id: 'parcel-country:ground', cost: expect.any(Number) }],
    });
    await stop();
    await start([{ carrier: 'fulmar', trouble: 'slow', lasts: 'always' }]);
    await send('PUT', '/shops/yard', { book, catalogue: makeCatalogue() });
    const elsewhere = makeRequest({ destination: { country: 'CA', postalCode: 'M5V 2T6' } });
    const from = Date.now();
    expect(await (await ask('yard', elsewhere)).json()).toMatchObject({
      withheld: [{ code: 'carrier-error', text: 'Fulmar did not answer in time.' }],
    });
    expect(Date.now() - from).toBeLessThan(1_000);
  });
});
