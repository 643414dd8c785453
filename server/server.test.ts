import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeServer } from './app.ts';

let folder = '';
let server: Server;
let origin = '';

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'emporos-web-'));
  mkdirSync(join(folder, '_expo/static'), { recursive: true });
  writeFileSync(join(folder, 'index.html'), '<!doctype html><title>Emporos</title>');
  writeFileSync(join(folder, '_expo/static/entry.js'), '1');
  server = makeServer({ webRoot: folder }).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
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

test('localhost leads to 127.0.0.1, so that the browser’s storage is one', async () => {
  const { port } = server.address() as AddressInfo;
  const response = await new Promise<IncomingMessage>((resolve, reject) => {
    get(
      { host: '127.0.0.1', port, path: '/charges?zone=north', headers: { host: `localhost:${port}` } },
      resolve,
    ).on('error', reject);
  });
  response.resume();
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
  expect(await unknown.json()).toEqual({ error: 'The gazetteer does not know Z9Z9Z9 in CA.' });
  expect((await fetch(`${origin}/api/places/Canada/B3H`)).status).toBe(400);
});
