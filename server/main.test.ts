import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { EXAMPLE_ORDER } from './openapi.ts';

const ROOT = join(__dirname, '..');

/** The server as its own program. */
const start = (env: Record<string, string>): ChildProcess =>
  spawn(process.execPath, ['scripts/serve.mjs'], {
    cwd: ROOT,
    env: { ...process.env, NODE_OPTIONS: '', ...env },
  });
const ended = (program: ChildProcess): Promise<number | null> =>
  new Promise((resolve) => program.once('exit', (code) => resolve(code)));
const said = (program: ChildProcess, from: 'stdout' | 'stderr'): Promise<string> =>
  new Promise((resolve) => program[from]?.once('data', (text) => resolve(String(text))));

test('does not start with what its settings refuse, or a folder that cannot be read', async () => {
  const program = start({ EDITIONS: 'no-such-folder' });
  const [text, code] = await Promise.all([said(program, 'stderr'), ended(program)]);
  expect(text).toMatch(/EDITIONS must be a folder/);
  expect(code).toBe(2);
  const refused = start({ PORT: 'x' });
  expect(await Promise.all([said(refused, 'stderr'), ended(refused)])).toEqual([
    'PORT must be a number from 0 to 65535, not “x”.\n',
    2,
  ]);
});

/** Asks again and again until it is told to stop, each time on a connection of its own; gives how often that failed. */
const askAllAlong = (origin: string): (() => Promise<{ asked: number; failed: string[] }>) => {
  const failed: string[] = [];
  let asked = 0;
  let isOver = false;
  const asking = (async () => {
    while (!isOver) {
      asked += 1;
      try {
        const { status } = await fetch(`${origin}/api/editions/demo/quotes`, {
          method: 'POST',
          headers: { 'content-type': 'application/json', connection: 'close' },
          body: JSON.stringify(EXAMPLE_ORDER),
        });
        if (status !== 200) failed.push(String(status));
      } catch (error) {
        failed.push(String(error));
      }
    }
  })();
  return async () => {
    isOver = true;
    await asking;
    return { asked, failed };
  };
};

test('several processes answer at one port, are replaced without losing a request, and end together', async () => {
  const program = start({ PORT: '0', WORKERS: '2', LOG_LEVEL: 'silent' });
  const origin = /http:\S+/.exec(await said(program, 'stdout'))?.[0] ?? '';
  const children = (): string[] =>
    readFileSync(`/proc/${program.pid}/task/${program.pid}/children`, 'utf8').trim().split(' ');
  const over = askAllAlong(origin);
  const until = async (holds: () => boolean | Promise<boolean>): Promise<void> => {
    while (!(await holds())) await new Promise((resolve) => setTimeout(resolve, 50));
  };
  await until(async () =>
    /emporos_quotes_total\S+ [1-9]/.test(await (await fetch(`${origin}/metrics`)).text()),
  );
  const before = children();
  expect(before).toHaveLength(2);
  program.kill('SIGHUP');
  await until(() => children().length === 2 && children().every((pid) => !before.includes(pid)));
  const { asked, failed } = await over();
  expect(failed).toEqual([]);
  expect(asked).toBeGreaterThan(0);
  const [first = ''] = children();
  process.kill(Number(first), 'SIGKILL');
  await until(() => children().length === 2 && !children().includes(first));
  expect((await fetch(`${origin}/ready`)).status).toBe(200);
  for (const pid of children()) process.kill(Number(pid), 'SIGKILL');
  const isBack = (): Promise<boolean> =>
    fetch(`${origin}/ready`, { signal: AbortSignal.timeout(1_000) }).then(
      ({ status }) => status === 200,
      () => false,
    );
  await until(isBack);
  program.kill('SIGTERM');
  expect(await ended(program)).toBe(0);
});

test('one process finishes and ends when it is told to', async () => {
  const program = start({ PORT: '0' });
  const origin = /http:\S+/.exec(await said(program, 'stdout'))?.[0] ?? '';
  expect((await fetch(`${origin}/health`)).status).toBe(200);
  program.kill('SIGTERM');
  expect(await ended(program)).toBe(0);
});
