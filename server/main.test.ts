import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';

const ROOT = join(__dirname, '..');

/** The server as its own program. */
const start = (env: Record<string, string>): ChildProcess =>
  spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: ROOT,
    env: { ...process.env, NODE_OPTIONS: '', ...env },
  });
const ended = (program: ChildProcess): Promise<number | null> =>
  new Promise((resolve) => program.once('exit', (code) => resolve(code)));
const said = (program: ChildProcess, from: 'stdout' | 'stderr'): Promise<string> =>
  new Promise((resolve) => program[from]?.once('data', (text) => resolve(String(text))));

test.each([
  [{ HOST: '' }, /HOST is empty/],
  [{ HOST: ' ' }, /HOST is empty/],
  [{ PORT: 'x' }, /PORT must be a number/],
])('does not start with %j', async (env, words) => {
  const program = start(env);
  const [text, code] = await Promise.all([said(program, 'stderr'), ended(program)]);
  expect(text).toMatch(words);
  expect(code).toBe(2);
});

test('answers others while a shop with many faults is read, and ends by itself when it is told to', async () => {
  const program = start({ PORT: '0' });
  const origin = /http:\S+/.exec(await said(program, 'stdout'))?.[0] ?? '';
  const wrong = Object.fromEntries(Array.from({ length: 300_000 }, (_, at) => [`field-${at}`, 'wrong']));
  const answered: string[] = [];
  const put = fetch(`${origin}/api/shops/wrong`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ book: wrong }),
  }).then((response) => {
    answered.push('shop');
    return response;
  });
  for (let time = 0; time < 3; time += 1) {
    await fetch(`${origin}/health`);
    answered.push('health');
  }
  expect((await put).status).toBe(400);
  expect(answered).toEqual(['health', 'health', 'health', 'shop']);
  program.kill('SIGTERM');
  expect(await ended(program)).toBe(0);
});
