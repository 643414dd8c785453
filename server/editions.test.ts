import { mkdtempSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { editionFileName, editionFileText } from '../core/formats/edition-file.ts';
import type { Edition } from '../core/formats/edition.ts';
import type { TestOrder } from '../core/model/test-order.ts';
import { makeBook, makeRate, makeRequest, quoted } from '../core/testing/book.ts';
import { Editions } from './editions.ts';
import { sha256 } from './read-edition.ts';
import { findEdition } from './served-edition.ts';
import { stop } from './stop.ts';
import { listen, makeEdition } from './testing/listening.ts';

let folder = '';
let server: Server;
let origin = '';
let editions: Editions;
const told: unknown[] = [];

const edition = (number: number, amount: number): Edition =>
  makeEdition({
    number,
    book: makeBook({
      store: { name: 'Sedge & Slate' },
      rates: [makeRate({ price: { kind: 'flat', amount, per: 'order' } })],
    }),
  });
const expecting = (charge: number): TestOrder[] => [
  {
    id: 'near',
    name: 'One pot to Antigonish',
    request: makeRequest(),
    expects: [{ kind: 'offered', choiceId: quoted(edition(1, 100).book).choices[0]?.id ?? '', charge }],
  },
];
const put = async (one: Edition, testOrders: TestOrder[] = [], name = editionFileName(one)): Promise<void> =>
  writeFileSync(join(folder, name), await editionFileText(one, testOrders, sha256));

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'emporos-editions-'));
  editions = new Editions(folder, (refusal) => void told.push(refusal));
  const listening = await listen({ webRoot: folder, editions });
  server = listening.server;
  origin = `${listening.origin}/api/editions`;
});
afterAll(async () => {
  editions.close();
  await stop(server);
  rmSync(folder, { recursive: true });
});

const ask = (body: string, query = '', type = 'application/json'): Promise<Response> =>
  fetch(`${origin}/sedge-slate/quotes${query}`, { method: 'POST', body, headers: { 'content-type': type } });
const chargeOf = async (response: Response): Promise<number | undefined> =>
  ((await response.json()) as { choices: { charge: number }[] }).choices[0]?.charge;
const REQUEST = JSON.stringify(makeRequest());

describe('editions out of a folder', () => {
  test('the greatest number is live, others are asked for by number, and each answer says which it is of', async () => {
    expect((await ask(REQUEST)).status).toBe(404);
    await put(edition(1, 700));
    await put(edition(2, 900));
    await editions.read();
    const live = await ask(REQUEST);
    expect(live.headers.get('emporos-edition')).toBe('2');
    expect(live.headers.get('emporos-digest')).toBe(findEdition(editions, 'sedge-slate', 2)?.digest);
    expect(await chargeOf(live)).toBe(900);
    expect(await chargeOf(await ask(REQUEST, '?edition=1'))).toBe(700);
    expect(await (await ask(REQUEST, '?edition=9')).json()).toMatchObject({ code: 'unknown-edition' });
    expect(await (await ask(REQUEST, '?edition=x')).json()).toMatchObject({ code: 'unknown-edition' });
  });

  test('one that was changed, is misnamed or fails a test order is refused with why, and the one before stays', async () => {
    const text = await editionFileText(edition(3, 100), [], sha256);
    writeFileSync(join(folder, 'sedge-slate.edition-3.json'), text.replace('"amount":100', '"amount":101'));
    await put(edition(4, 100), [], 'sedge-slate.edition-5.json');
    await put(edition(6, 100), expecting(1));
    await editions.read();
    const list = (await (await fetch(origin)).json()) as {
      shops: unknown;
      refused: { file: string; reasons: string[] }[];
    };
    expect(list.shops).toMatchObject([
      { shop: 'sedge-slate', live: 2, editions: [{ number: 1 }, { number: 2 }] },
    ]);
    expect(list.refused.map(({ file }) => file)).toEqual([
      'sedge-slate.edition-3.json',
      'sedge-slate.edition-5.json',
      'sedge-slate.edition-6.json',
    ]);
    expect(list.refused[0]?.reasons.join()).toContain('its digest is another');
    expect(list.refused[1]?.reasons.join()).toContain('named as edition 5 and holds edition 4');
    expect(list.refused[2]?.reasons.join()).toContain('“One pot to Antigonish”');
    expect(told).toHaveLength(3);
    expect(await chargeOf(await ask(REQUEST))).toBe(900);
  });

  test('a file put into the folder takes over by itself, and taken out gives way to the one before', async () => {
    editions.watch();
    await put(edition(7, 1_100), expecting(1_100));
    const charge = async (): Promise<number | undefined> => chargeOf(await ask(REQUEST));
    const until = async (wanted: number): Promise<void> => {
      while ((await charge()) !== wanted) await new Promise((resolve) => setTimeout(resolve, 20));
    };
    await until(1_100);
    renameSync(join(folder, 'sedge-slate.edition-7.json'), join(folder, 'put-away.txt'));
    await until(900);
  });

  test('one that is spoilt where it lies is told, and served on as it was', async () => {
    const path = join(folder, 'sedge-slate.edition-2.json');
    writeFileSync(path, 'half of a fi');
    await editions.read();
    expect(editions.refused.map(({ file }) => file)).toContain('sedge-slate.edition-2.json');
    expect(await chargeOf(await ask(REQUEST))).toBe(900);
    await put(edition(2, 900));
    await editions.read();
    expect(editions.refused.map(({ file }) => file)).not.toContain('sedge-slate.edition-2.json');
  });

  test('many orders are asked a line each, and a faulty line spoils no other', async () => {
    const lines = [
      REQUEST,
      '{',
      JSON.stringify({ ...makeRequest(), lines: [{ sku: 'gone', quantity: 1 }] }),
      REQUEST,
    ];
    const response = await ask(lines.join('\n'), '', 'application/x-ndjson');
    expect(response.headers.get('content-type')).toContain('application/x-ndjson');
    const answers = (await response.text())
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { code?: string; choices?: { charge: number }[] });
    expect(answers.map(({ code, choices }) => code ?? choices?.[0]?.charge)).toEqual([
      900,
      'not-json',
      'invalid',
      900,
    ]);
    const long = await ask(Array.from({ length: 600 }, () => REQUEST).join('\n'), '', 'application/x-ndjson');
    expect((await long.text()).trim().split('\n')).toHaveLength(600);
    const many = await ask(Array.from({ length: 1_001 }, () => '{}').join('\n'), '', 'application/x-ndjson');
    expect([many.status, await many.json()]).toMatchObject([413, { code: 'too-many-lines' }]);
  });
});
