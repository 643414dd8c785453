import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { Agent, createServer, get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { REFUSALS, type Problem } from './refusals.ts';
import { heldEditions } from './held-editions.ts';
import { listen, makeEdition } from './testing/listening.ts';
import { stop } from './stop.ts';

let folder = '';
let server: Server;
let origin = '';
const logged: unknown[] = [];

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'emporos-web-'));
  mkdirSync(join(folder, '_expo/static'), { recursive: true });
  writeFileSync(join(folder, 'index.html'), '<!doctype html><title>Emporos</title>');
  writeFileSync(join(folder, '_expo/static/entry.js'), '1');
  ({ server, origin } = await listen({
    webRoot: folder,
    editions: heldEditions({ yard: [makeEdition()] }),
    origins: ['https://shop.example'],
    hosts: ['shop.example'],
    log: (error) => void logged.push(error),
  }));
});
afterAll(async () => {
  await new Promise((resolve) => server.close(resolve));
  rmSync(folder, { recursive: true });
});

test('every page is the app, whatever its path', async () => {
  for (const path of ['/', '/charges?zone=north', '/nowhere']) {
    const response = await fetch(origin + path, { headers: { accept: 'text/html' } });
    expect([response.status, await response.text()]).toEqual([200, '<!doctype html><title>Emporos</title>']);
  }
});

test('a place of the program has its frame in the page that is served, and the front is the first of them', async () => {
  for (const name of ['charges', 'today']) writeFileSync(join(folder, `${name}.html`), `<h1>${name}</h1>`);
  const pageOf = async (path: string): Promise<string> =>
    (await fetch(origin + path, { headers: { accept: 'text/html' } })).text();
  expect(await pageOf('/charges?zone=north')).toBe('<h1>charges</h1>');
  expect(await pageOf('/')).toBe('<h1>today</h1>');
  for (const name of ['charges', 'today']) rmSync(join(folder, `${name}.html`));
});

test('what is no page is not found', async () => {
  expect((await fetch(`${origin}/_expo/static/gone.js`)).status).toBe(404);
  expect((await fetch(`${origin}/gone.json`, { headers: { accept: 'application/json' } })).status).toBe(404);
});

test('scripts keep for good, and the page is asked for again', async () => {
  expect((await fetch(`${origin}/_expo/static/entry.js`)).headers.get('cache-control')).toContain(
    'immutable',
  );
  expect((await fetch(origin)).headers.get('cache-control')).toBe('public, max-age=0');
});

test('only its own scripts run, and nothing frames it', async () => {
  const policy = (await fetch(origin)).headers.get('content-security-policy') ?? '';
  expect(policy).toContain("script-src 'self'");
  expect(policy).toContain("frame-ancestors 'none'");
  expect(policy).not.toContain('unsafe-eval');
});

test('a page of an origin that is listed may read how many requests are left', async () => {
  const { headers } = await fetch(`${origin}/api/editions`, { headers: { origin: 'https://shop.example' } });
  const limits = [...headers.keys()].filter((name) => name.startsWith('ratelimit'));
  expect(limits).toEqual(['ratelimit', 'ratelimit-policy']);
  const readable = headers.get('access-control-expose-headers')?.toLowerCase().split(',') ?? [];
  expect(limits.filter((name) => !readable.includes(name))).toEqual([]);
});

test('data runs nothing and is framed by nothing, wherever it is read', async () => {
  const { headers } = await fetch(`${origin}/api/editions`);
  expect(headers.get('content-security-policy')).toBe("default-src 'none';frame-ancestors 'none'");
  expect(headers.get('x-content-type-options')).toBe('nosniff');
  expect(headers.get('cross-origin-resource-policy')).toBe('same-origin');
});

/** What a request with a Host header of its own is answered. */
const askAs = (host: string, path = '/health', more: Record<string, string> = {}): Promise<IncomingMessage> =>
  new Promise((resolve, reject) => {
    const { port } = server.address() as AddressInfo;
    get({ host: '127.0.0.1', port, path, headers: { host, ...more } }, (response) => {
      response.resume();
      resolve(response);
    }).on('error', reject);
  });

test.each([
  ['127.0.0.1:80', 200],
  ['[::1]:4310', 200],
  ['192.168.4.20', 200],
  ['shop.example:4310', 200],
  ['SHOP.example', 200],
  ['foreign.example', 421],
  ['127.0.0.1.foreign.example', 421],
  ['shop.example@foreign.example', 421],
  ['foreign.example:80:80', 421],
])('a request that names the host %j is answered with %i', async (host, status) => {
  expect((await askAs(host)).statusCode).toBe(status);
});

test('data that names a foreign host is refused before it is looked for', async () => {
  expect((await askAs('foreign.example', '/api/editions')).statusCode).toBe(421);
});

test('data is compressed for who can read that, and for nobody else', async () => {
  const path = '/api/problems';
  expect((await askAs('127.0.0.1', path)).headers['content-encoding']).toBeUndefined();
  const small = await askAs('127.0.0.1', path, { 'accept-encoding': 'gzip' });
  expect([small.headers['content-encoding'], small.headers.vary]).toEqual(['gzip', 'Accept-Encoding']);
});

describe('what goes wrong is told in JSON, without a trace, a path or what was sent', () => {
  test.each([
    ['/api/nowhere', 404, 'not-found', 'not found'],
    ['/api/carriers/fulmar', 404, 'not-found', 'not found'],
    ['/%E0%A4%A', 400, 'unreadable', 'the request cannot be read'],
    ['/_expo/static/gone.js', 404, 'not-found', 'not found'],
    ['/_expo/static/%2e%2e%2fsecret', 403, 'forbidden', 'the request cannot be read'],
  ])('GET %s', async (path, status, code, error) => {
    const response = await fetch(origin + path, { headers: { accept: 'text/html' } });
    expect(response.headers.get('content-type')).toContain('application/problem+json');
    expect([response.status, await response.json()]).toEqual([
      status,
      { type: `/api/problems/${code}`, title: error, status, detail: error, code },
    ]);
  });

  test.each([
    ['POST', '/api/editions/none/quotes', 'x', 'text/plain', 404, 'there is no such shop'],
    ['POST', '/api/editions/yard/quotes', '{}', 'text/plain', 415, /content-type/],
    ['POST', '/api/editions/yard/quotes', '{', 'application/json', 400, 'the request is no JSON'],
    ['POST', '/api/editions/yard/quotes', '[]', 'application/json', 400, /./],
    ['POST', '/api/editions/yard/quotes', ' '.repeat(1_100_000), 'application/json', 413, /than 1 MB/],
    ['PUT', '/api/carriers/troubles', ' '.repeat(1_100_000), 'application/json', 413, /larger than 1 MB/],
    ['PUT', '/api/carriers/troubles', 'x', 'text/plain', 415, /content-type/],
    ['PUT', '/api/carriers/troubles', '{x}', 'application/json', 400, 'the request is no JSON'],
  ])('%s %s', async (method, path, body, type, status, error) => {
    const response = await fetch(origin + path, { method, body, headers: { 'content-type': type } });
    const told = (await response.json()) as Problem;
    expect([response.status, told.detail]).toEqual([
      status,
      typeof error === 'string' ? error : expect.stringMatching(error),
    ]);
    expect(REFUSALS[told.code].status).toBe(status);
    expect(told.detail).not.toMatch(/\.ts|node_modules| at /);
  });

  test('a page that is not there is the server’s own fault, and is logged', async () => {
    const lost = await listen({ webRoot: join(folder, 'gone'), log: (error) => void logged.push(error) });
    const response = await fetch(`${lost.origin}/today`, { headers: { accept: 'text/html' } });
    expect([response.status, await response.json()]).toMatchObject([404, { code: 'not-found' }]);
    await stop(lost.server);
  });
});

test('stopping lets what is under way finish, and takes nothing new', async () => {
  const slow = createServer((_request, response) => setTimeout(() => response.end('done'), 200));
  slow.listen(0, '127.0.0.1');
  await new Promise((resolve) => slow.once('listening', resolve));
  const { port } = slow.address() as AddressInfo;
  const underWay = fetch(`http://127.0.0.1:${port}`).then((response) => response.text());
  await new Promise((resolve) => slow.once('request', resolve));
  const stopped = stop(slow);
  await expect(fetch(`http://127.0.0.1:${port}`)).rejects.toThrow();
  expect(await underWay).toBe('done');
  await stopped;
});

test('stopping answers what is on its way on a connection that is open, and closes it with the answer', async () => {
  const open = createServer((_request, response) => response.end('done'));
  open.listen(0, '127.0.0.1');
  await new Promise((resolve) => open.once('listening', resolve));
  const { port } = open.address() as AddressInfo;
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  const ask = (): Promise<IncomingMessage> =>
    new Promise((resolve, reject) => {
      get({ port, host: '127.0.0.1', agent }, (response) => {
        response.resume().once('end', () => resolve(response));
      }).once('error', reject);
    });
  expect((await ask()).headers.connection).toBe('keep-alive');
  const stopped = stop(open);
  expect((await ask()).headers.connection).toBe('close');
  await stopped;
  await expect(ask()).rejects.toThrow('ECONNREFUSED');

  const waiting = createServer((_request, response) => response.end('done'));
  waiting.listen(port, '127.0.0.1');
  await new Promise((resolve) => waiting.once('listening', resolve));
  await ask();
  const from = performance.now();
  await stop(waiting, 50);
  expect(performance.now() - from).toBeLessThan(5_000);
  agent.destroy();
});

test('localhost leads to 127.0.0.1, so that the browser’s storage is one', async () => {
  const { port } = server.address() as AddressInfo;
  const response = await askAs(`localhost:${port}`, '/charges?zone=north');
  expect([response.statusCode, response.headers.location]).toEqual([
    307,
    `http://127.0.0.1:${port}/charges?zone=north`,
  ]);
});

test('a postal code is found in the gazetteer, and one that is not known is told as such', async () => {
  const known = await fetch(`${origin}/api/places/ca/b3h%202y9`);
  expect(await known.json()).toMatchObject({ code: 'B3H', point: { lat: 44.6224, lng: -63.5736 } });
  const unknown = await fetch(`${origin}/api/places/CA/Z9Z9Z9`);
  expect(unknown.status).toBe(404);
  expect(await unknown.json()).toMatchObject({
    code: 'unknown-place',
    detail: 'the gazetteer does not know Z9Z9Z9 in CA',
  });
  expect((await fetch(`${origin}/api/places/Canada/B3H`)).status).toBe(400);
});
