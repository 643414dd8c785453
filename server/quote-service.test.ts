import Ajv2020 from 'ajv/dist/2020';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Misbehaviour } from '../carriers/misbehaviour.ts';
import { makeQuestion } from '../carriers/testing/question.ts';
import { editionFileText } from '../core/formats/edition-file.ts';
import { makeAccount, makeBook, makeCarrierPrice, makeRate, makeRequest } from '../core/testing/book.ts';
import { readSecrets } from './carrier-secrets.ts';
import { demoEditions } from './demo-editions.ts';
import { Editions } from './editions.ts';
import { EXAMPLE_ORDER, openApiDocument } from './openapi.ts';
import type { QuoteAnswer } from './quote-answer.ts';
import { readEdition, sha256 } from './read-edition.ts';
import { REFUSALS, type Problem } from './refusals.ts';
import type { RequestLine } from './request-log.ts';
import { stop } from './stop.ts';
import { heldEditions } from './held-editions.ts';
import { listen, makeEdition, type Listening } from './testing/listening.ts';

const webRoot = tmpdir();
const running: Listening[] = [];
const serving = async (options: Partial<Parameters<typeof listen>[0]> = {}): Promise<string> => {
  const one = await listen({ webRoot, editions: heldEditions({ yard: [makeEdition()] }), ...options });
  running.push(one);
  return one.origin;
};
afterEach(async () => {
  await Promise.all(running.splice(0).map(({ server }) => stop(server, 0)));
});

const send = (
  url: string,
  body?: unknown,
  headers: Record<string, string> = {},
  method = body === undefined ? 'GET' : 'POST',
): Promise<Response> =>
  fetch(url, {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
const quoteOf = async (response: Promise<Response>): Promise<QuoteAnswer> =>
  (await (await response).json()) as QuoteAnswer;
const codeOf = async (response: Promise<Response>): Promise<[number, string]> => {
  const told = await response;
  return [told.status, ((await told.json()) as Problem).code];
};

describe('a quote', () => {
  test('is of a shop that is there, for a sound order, and says which edition it is of', async () => {
    const url = `${await serving()}/api/editions`;
    expect(await quoteOf(send(`${url}/yard/quotes`, makeRequest()))).toMatchObject({
      choices: [{ charge: 845 }],
      edition: { number: 1, digest: expect.stringMatching(/^[0-9a-f]{64}$/) },
      language: 'en',
    });
    expect(await codeOf(send(`${url}/none/quotes`, makeRequest()))).toEqual([404, 'unknown-shop']);
    expect(await codeOf(send(`${url}/yard/quotes`, { ...makeRequest(), lines: [] }))).toEqual([
      400,
      'invalid',
    ]);
    const ghost = makeRequest({ lines: [{ sku: 'ghost', quantity: 1 }] });
    expect(await (await send(`${url}/yard/quotes`, ghost)).json()).toMatchObject({
      detail: expect.stringContaining('ghost'),
    });
  });

  test('has the province and the point that the postal code gives, and tells a province that it contradicts', async () => {
    const url = `${await serving()}/api/editions/yard/quotes`;
    const to = (destination: object) => quoteOf(send(url, makeRequest({ destination } as never)));
    expect((await to({ country: 'CA', postalCode: 'b3h 2y9' })).destination).toEqual({
      country: 'CA',
      postalCode: 'b3h 2y9',
      subdivision: 'CA-NS',
      point: { lat: 44.6224, lng: -63.5736 },
    });
    const wrong = await to({ country: 'CA', subdivision: 'CA-ON', postalCode: 'B3H 2Y9' });
    expect([wrong.destination?.subdivision, wrong.codeLiesIn]).toEqual(['CA-ON', 'CA-NS']);
    expect((await to({ country: 'NO', postalCode: '0150' })).destination).toEqual({
      country: 'NO',
      postalCode: '0150',
    });
  });

  test('speaks the customer’s language where the shop does, and says why something is not offered', async () => {
    const url = `${await serving({ editions: demoEditions() })}/api/editions/demo/quotes`;
    const heavy = { ...EXAMPLE_ORDER, lines: [{ sku: 'pot-urn', quantity: 40 }] };
    const ask = async (language: string) => {
      const response = await send(url, heavy, { 'accept-language': language });
      return [response.headers.get('content-language'), await quoteOf(Promise.resolve(response))] as const;
    };
    const [french, quoted] = await ask('fr-CA,fr;q=0.9,en;q=0.5');
    expect([french, quoted.language]).toEqual(['fr', 'fr']);
    expect(quoted.withheld.map(({ name }) => name)).toContain('Colis');
    const reasons = Object.values(quoted.reasons).map(({ why }) => why);
    expect(reasons.join(' ')).toContain('au plus 30 kg ; votre panier pèse 560 kg');
    const [other, english] = await ask('de');
    expect([other, english.language]).toEqual(['en', 'en']);
    expect(Object.keys(english.reasons)).toEqual(Object.keys(quoted.reasons));
  });

  test('calls a closed region by its name', async () => {
    const url = `${await serving({ editions: demoEditions() })}/api/editions/demo/quotes`;
    const { withheld } = await quoteOf(
      send(url, { ...EXAMPLE_ORDER, destination: { country: 'NO', subdivision: 'NO-21' } }),
    );
    expect(withheld.map(({ text }) => text)).toContain('The shop does not sell to Svalbard in Norway.');
  });

  test('asks the carriers unless their answers are handed in, and says so where one is down', async () => {
    const account = makeAccount({ timeoutMs: 300 });
    const plain = makeBook();
    const book = {
      ...plain,
      locations: [{ id: 'yard', name: 'Yard', address: makeQuestion().from, hours: [], closedDates: [] }],
      carriers: [account],
      rates: plain.rates.map((rate) => ({ ...rate, price: makeCarrierPrice() })),
    };
    const editions = heldEditions({ yard: [makeEdition({ book })] });
    const down: Misbehaviour[] = [{ carrier: 'fulmar', trouble: 'slow', lasts: 'always' }];
    const up = await serving({ editions });
    expect(await quoteOf(send(`${up}/api/editions/yard/quotes`, makeRequest()))).toMatchObject({
      choices: [{ id: 'parcel-country:ground', cost: expect.any(Number) }],
    });
    const origin = await serving({ editions, troubles: down });
    const url = `${origin}/api/editions/yard/quotes`;
    expect(await quoteOf(send(url, makeRequest()))).toMatchObject({
      withheld: [{ code: 'carrier-error', text: 'Fulmar did not answer in time.' }],
    });
    const answers = [
      {
        key: account.id,
        ok: true,
        services: [{ code: 'ground', name: 'Ground', amount: 1_234 }],
      },
    ];
    expect(await quoteOf(send(url, { ...makeRequest(), answers }))).toMatchObject({
      choices: [{ cost: 1_234 }],
    });
    expect(await (await fetch(`${origin}/metrics`)).text()).toContain(
      'emporos_carrier_answers_total{carrier="fulmar",outcome="timed-out"} 1',
    );
  });

  test('asks with the secret of an account, which the environment has and no answer shows', async () => {
    const credentials = { kind: 'own', accountNumber: 'T7-55208' } as const;
    const plain = makeBook();
    const book = {
      ...plain,
      locations: [{ id: 'yard', name: 'Yard', address: makeQuestion().from, hours: [], closedDates: [] }],
      carriers: [makeAccount({ credentials })],
      rates: plain.rates.map((rate) => ({ ...rate, price: makeCarrierPrice() })),
    };
    const editions = heldEditions({ yard: [makeEdition({ book })] });
    const quoteAt = async (origin: string): Promise<string> =>
      (await send(`${origin}/api/editions/yard/quotes`, makeRequest())).text();
    const without = await quoteAt(await serving({ editions }));
    expect(JSON.parse(without)).toMatchObject({
      choices: [],
      withheld: [{ text: 'Fulmar refused the question: the secret is missing' }],
    });
    const secrets = readSecrets('fulmar=skerry') ?? new Map();
    const quoted = await quoteAt(await serving({ editions, secrets }));
    expect(JSON.parse(quoted)).toMatchObject({ choices: [{ id: 'parcel-country:ground' }] });
    expect(quoted).not.toContain('skerry');
  });

  test.each(['fulmar', 'fulmar=', 'a=1 a=2', 'Not an id=1'])('no secrets are read of “%s”', (text) => {
    expect(readSecrets(text)).toBeNull();
  });

  test('gives the times that can be chosen, with how many are left', async () => {
    const url = `${await serving({ editions: demoEditions() })}/api/editions/demo/slots`;
    const order = { ...EXAMPLE_ORDER, destination: { country: 'CA', postalCode: 'B3H 2Y9' } };
    const { choices } = (await (await send(url, order)).json()) as {
      choices: { name: string; slots: unknown[] }[];
    };
    expect(choices.map(({ name }) => name)).toContain('Electric cart');
    expect(choices.every(({ slots }) => slots.length > 0)).toBe(true);
  });
});

describe('keys', () => {
  const READ = 'a-key-to-read-with';
  const WRITE = 'a-key-to-write-with';
  const bearer = (key: string) => ({ authorization: `Bearer ${key}` });
  const statuses = async (keys: Parameters<typeof serving>[0]): Promise<number[]> => {
    const url = `${await serving(keys)}/api/editions`;
    const tried = [{}, bearer('another-key-altogether'), bearer(READ), bearer(WRITE)];
    return Promise.all(tried.map(async (headers) => (await send(url, undefined, headers)).status));
  };

  test('are not needed for reading on this machine alone, and are where it can be reached from others', async () => {
    expect(await statuses({ keys: { read: [], write: [], isHere: true } })).toEqual([200, 200, 200, 200]);
    expect(await statuses({ keys: { read: [], write: [], isHere: false } })).toEqual([401, 401, 401, 401]);
    expect(await statuses({ keys: { read: [READ], write: [WRITE], isHere: true } })).toEqual([
      401, 401, 200, 200,
    ]);
  });

  test('an edition is put and gone back from with a key for writing alone, and is a file of the folder', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'emporos-put-'));
    const reads: string[] = [];
    const editions = new Editions(
      folder,
      () => undefined,
      (name, text) => {
        reads.push(name);
        return readEdition(name, text);
      },
    );
    const priced = (number: number, amount: number) =>
      makeEdition({
        number,
        book: makeBook({ rates: [makeRate({ price: { kind: 'flat', amount, per: 'order' } })] }),
      });
    const textOf = (number: number, amount: number) => editionFileText(priced(number, amount), [], sha256);
    const url = `${await serving({ editions, keys: { read: [READ], write: [WRITE], isHere: true } })}/api/editions/yard`;
    const put = async (number: number, text: string, key = WRITE) =>
      send(`${url}/${number}`, text, bearer(key), 'PUT');
    const charge = async () =>
      (await quoteOf(send(`${url}/quotes`, makeRequest(), bearer(READ)))).choices[0]?.charge;
    const one = await textOf(1, 700);
    expect(await codeOf(put(1, one, READ))).toEqual([401, 'key-needed']);
    expect((await put(1, one)).status).toBe(201);
    // Once, though it is examined first and served then.
    expect(reads).toEqual(['yard.edition-1.json']);
    expect((await put(1, one)).status).toBe(200);
    expect(await codeOf(put(1, await textOf(1, 701)))).toEqual([409, 'edition-there']);
    expect(await codeOf(put(2, one))).toEqual([422, 'edition-refused']);
    expect(await codeOf(put(2, one.replace('700', '1')))).toEqual([422, 'edition-refused']);
    expect((await put(2, await textOf(2, 900))).status).toBe(201);
    expect(await charge()).toBe(900);
    const back = (number: number) => send(`${url}/${number}`, undefined, bearer(WRITE), 'DELETE');
    expect(await codeOf(back(3))).toEqual([404, 'unknown-edition']);
    expect(await (await back(2)).json()).toEqual({ shop: 'yard', live: 1 });
    expect(await charge()).toBe(700);
    expect(await codeOf(back(1))).toEqual([409, 'last-edition']);
    expect(readdirSync(folder).sort()).toEqual(['yard.edition-1.json', 'yard.edition-2.json.taken-back']);
    rmSync(folder, { recursive: true });
  });

  test('without a key for writing, and where editions lie in no folder, nothing is put', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'emporos-put-'));
    const editions = new Editions(folder, () => undefined);
    const locked = `${await serving({ editions })}/api/editions/yard/1`;
    expect(await codeOf(send(locked, {}, {}, 'PUT'))).toEqual([403, 'not-writable']);
    const held = `${await serving()}/api/editions/yard/1`;
    expect((await send(held, {}, bearer(WRITE), 'PUT')).status).toBe(404);
    rmSync(folder, { recursive: true });
  });
});

describe('what the service says of itself', () => {
  test('whether it should be asked: not before there is an edition, nor while it stops', async () => {
    expect((await fetch(`${await serving()}/ready`)).status).toBe(200);
    const empty = await serving({ editions: heldEditions({}) });
    expect(await codeOf(fetch(`${empty}/ready`))).toEqual([503, 'not-ready']);
    const stopping = await fetch(`${await serving({ isStopping: () => true })}/ready`);
    expect(stopping.status).toBe(503);
  });

  test('the problems of an edition, from the day that it is where the shop is', async () => {
    const problem = { code: 'stops', gravity: 'stops' as const, text: 'Nothing ships.', where: [] };
    const origin = await serving({
      problemsOf: () => Promise.resolve([problem]),
      now: () => new Date('2026-11-25T02:00:00Z'),
    });
    expect(await (await fetch(`${origin}/api/editions/yard/problems`)).json()).toEqual({
      on: '2026-11-24',
      problems: [problem],
    });
  });

  test('requests are noted without who asked, what for, or the key', async () => {
    const lines: RequestLine[] = [];
    const origin = await serving({ note: (line) => void lines.push(line) });
    await (
      await send(`${origin}/api/editions/yard/quotes?edition=1`, makeRequest(), {
        authorization: 'Bearer hush',
      })
    ).text();
    await (await fetch(`${origin}/api/places/CA/B3H2Y9`)).text();
    await (await fetch(`${origin}/api/nowhere`)).text();
    await (await fetch(`${origin}/api/editions/yard/nowhere`)).text();
    expect(lines.map(({ ms: _, ...line }) => line)).toEqual([
      { method: 'POST', route: '/api/editions/:shop/quotes', shop: 'yard', status: 200 },
      { method: 'GET', route: '/api/places/:country/:code', status: 200 },
      { method: 'GET', route: '/api', status: 404 },
      { method: 'GET', route: '/api/editions', status: 404 },
    ]);
    expect(lines.every(({ ms }) => ms >= 0)).toBe(true);
  });

  test('orders are counted by outcome, and reasons by code', async () => {
    const origin = await serving();
    const url = `${origin}/api/editions/yard/quotes`;
    await send(url, makeRequest());
    await send(url, makeRequest({ destination: { country: 'NO' } }));
    await send(url, {});
    const text = await (await fetch(`${origin}/metrics`)).text();
    for (const line of [
      'emporos_quotes_total{shop="yard",outcome="offered"} 1',
      'emporos_quotes_total{shop="yard",outcome="nothing"} 1',
      'emporos_quotes_total{shop="yard",outcome="refused"} 1',
      'emporos_not_offered_total{shop="yard",code="no-zone"} 1',
      'emporos_quote_seconds_count{shop="yard"} 3',
      'emporos_live_edition{shop="yard"} 1',
    ])
      expect(text).toContain(line);
  });

  test('every refusal by its code, and a page to try it all on', async () => {
    const origin = await serving();
    const list = (await (await fetch(`${origin}/api/problems`)).json()) as { code: string }[];
    expect(list.map(({ code }) => code)).toEqual(Object.keys(REFUSALS));
    expect(await (await fetch(`${origin}/api/problems/too-large`)).json()).toMatchObject({ status: 413 });
    expect((await fetch(`${origin}/api/problems/toString`)).status).toBe(404);
    const page = await (await fetch(`${origin}/api/`)).text();
    for (const [, path = ''] of page.matchAll(/(?:src|href)="(\/[^"]+)"/g))
      expect([path, (await fetch(origin + path)).status]).toEqual([path, 200]);
  });
});

describe('the description', () => {
  interface Operation {
    operationId: string;
    responses: Record<string, { content?: Record<string, { schema: { $ref?: string } }> }>;
  }
  const document = openApiDocument('1.2.3') as {
    openapi: string;
    info: { version: string };
    paths: Record<string, Record<string, Operation>>;
    components: { schemas: Record<string, unknown> };
  };
  const ajv = new Ajv2020({ strict: false, validateFormats: false });
  ajv.addSchema({ $id: 'service', components: document.components });

  test('has every schema that it refers to, and refers to every one', () => {
    const text = JSON.stringify(document);
    const referred = new Set(
      [...text.matchAll(/"#\/components\/schemas\/([^"]+)"/g)].map(([, name]) => name),
    );
    expect([...referred].sort()).toEqual(Object.keys(document.components.schemas).sort());
    expect([document.openapi, document.info.version]).toEqual(['3.1.0', '1.2.3']);
    expect(text).not.toContain('$schema');
  });

  test('has every route of editions, each answering as it is described', async () => {
    const origin = await serving({
      editions: demoEditions(),
      problemsOf: () => Promise.resolve([]),
    });
    for (const [path, operations] of Object.entries(document.paths)) {
      const url = origin + path.replace('{shop}', 'demo').replace('{country}', 'CA').replace('{code}', 'B3H');
      if (path.includes('{number}')) continue;
      const [method = ''] = Object.keys(operations);
      const response = await send(url, method === 'post' ? EXAMPLE_ORDER : undefined);
      expect([path, response.status]).toEqual([path, 200]);
      const { $ref = '' } = operations[method]?.responses['200']?.content?.['application/json']?.schema ?? {};
      const isAsDescribed = ajv.getSchema(`service${$ref}`);
      isAsDescribed?.(await response.json());
      expect([path, isAsDescribed?.errors]).toEqual([path, null]);
    }
  });

  test('its example is an order that the demo ships', async () => {
    const origin = await serving({ editions: demoEditions() });
    const { choices } = await quoteOf(send(`${origin}/api/editions/demo/quotes`, EXAMPLE_ORDER));
    expect(choices.map(({ name }) => name)).toContain('Parcel');
  });

  test('the types of the example’s client are made from it', () => {
    const made = spawnSync(process.execPath, ['--import', 'tsx', 'examples/make-types.ts', '--check'], {
      cwd: join(__dirname, '..'),
      env: { ...process.env, NODE_OPTIONS: '' },
      encoding: 'utf8',
    });
    expect([made.stderr, made.status]).toEqual(['', 0]);
  });
});
