import { readSettings } from './settings.ts';

test.each([
  [{ HOST: '' }, /HOST is empty/],
  [{ HOST: ' ' }, /HOST is empty/],
  [{ PORT: 'x' }, /PORT must be a number/],
  [{ PORT: '65536' }, /PORT must be a number/],
  [{ WORKERS: '0' }, /WORKERS must be a number from 1 to 64/],
  [{ WORKERS: '1.5' }, /WORKERS must be a number from 1 to 64/],
  [{ LOG_LEVEL: 'loud' }, /LOG_LEVEL must be one of fatal, /],
  [{ ORIGINS: 'shop.example' }, /ORIGINS must be origins/],
  [{ CARRIER_SECRETS: 'fulmar' }, /CARRIER_SECRETS must have each account once/],
  [{ REDIS_URL: 'cache.example:6379' }, /REDIS_URL must be an address/],
  [{ WRITE_KEYS: 'short' }, /shorter than 16/],
])('settings of %j are refused in a sentence', (environment, words) => {
  expect(readSettings(environment)).toEqual({ ok: false, text: expect.stringMatching(words) });
});

test('a secret or a key that is refused is not part of what is said', () => {
  const read = readSettings({ READ_KEYS: 'hush-hush', CARRIER_SECRETS: 'fulmar=skerry' });
  expect(JSON.stringify(read)).not.toMatch(/hush|skerry/);
});

test('without an environment the server is at its port on this machine, with the demo', () => {
  expect(readSettings({})).toMatchObject({
    ok: true,
    settings: { port: 4310, host: '127.0.0.1', folder: null, workers: 1, logLevel: 'warn' },
  });
});
