import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { planOf, shareModules, type ScriptModule } from './share-modules.mjs';

const SCRIPTS = '_expo/static/js/web';
const named = (part: string, digit: string): string => `${part}-${digit.repeat(32)}.js`;
const ENTRY = named('entry', '1');
const COMMON = named('__common', '2');
const pathTo = (file: string): string => `/${SCRIPTS}/${file}`;

const LONG = 'x'.repeat(4_000);

/** A module as the bundler writes it; those of `later` are loaded when they are asked for. */
const define = (id: number, asks: number[], says: string, later: Record<number, string> = {}): string => {
  const all = [...asks, ...Object.keys(later).map(Number)];
  const list =
    Object.keys(later).length === 0
      ? JSON.stringify(all)
      : JSON.stringify({
          ...all,
          paths: Object.fromEntries(Object.entries(later).map(([to, file]) => [to, pathTo(file)])),
        });
  return `__d((function(g,r,i,a,m,e,d){"use strict";e.says=${JSON.stringify(says)};e.uses=${JSON.stringify(asks)}.map(function(n,at){return r(d[at]).says})}),${id},${list});`;
};

const GOODS = named('goods', '3');
const SHOP = named('shop', '4');
const CHECK = named('check', '5');
const WORKER = named('checker', '6');

/** The entry leads to three parts: all use module 10 (long), two use 11, the entry itself 12, and 13 is used by 10. */
const exported = (shared = LONG): string => {
  const dist = mkdtempSync(join(tmpdir(), 'emporos-share-'));
  mkdirSync(join(dist, SCRIPTS), { recursive: true });
  const scripts: Record<string, string> = {
    [ENTRY]: define(1, [12], 'entry', { 20: GOODS, 21: SHOP, 22: CHECK, 30: WORKER }),
    [COMMON]: [
      define(10, [13], shared),
      define(11, [], 'of two'),
      define(12, [], 'of all'),
      define(13, [], 'below'),
    ].join('\n'),
    [GOODS]: define(20, [10, 11], 'goods'),
    [SHOP]: define(21, [10, 11], 'shop'),
    [CHECK]: define(22, [10], 'check\n`'),
    [WORKER]: `var __BUNDLE_START_TIME__=0;${define(30, [11], 'worker')}${define(11, [], 'of two')}`,
  };
  for (const [file, text] of Object.entries(scripts)) writeFileSync(join(dist, SCRIPTS, file), text);
  writeFileSync(
    join(dist, 'index.html'),
    `<script src="${pathTo(COMMON)}"></script><script src="${pathTo(ENTRY)}">`,
  );
  return dist;
};

interface Page {
  /** Runs a file's definitions. */
  load: (file: string) => void;
  /** What a module says, with all that it asks for at once; an error where one of them is not loaded. */
  run: (id: number) => { says: string; uses: string[] };
  pathOf: (id: number) => string;
}

/** The least of a page's runtime: definitions by number, of which the first counts. */
const pageOf = (dist: string): Page => {
  type Made = { says: string; uses: string[] };
  type Factory = (...args: unknown[]) => void;
  const defined = new Map<number, { factory: Factory; asks: number[]; paths: Record<number, string> }>();
  const define = (
    factory: Factory,
    id: number,
    list: number[] & { paths?: Record<number, string> },
  ): void => {
    if (!defined.has(id)) defined.set(id, { factory, asks: list, paths: list.paths ?? {} });
  };
  const run = (id: number): Made => {
    const module = defined.get(id);
    if (!module) throw new Error(`module ${id} is not there`);
    const made = {} as Made;
    module.factory(null, run, null, null, null, made, module.asks);
    return made;
  };
  const load = (file: string): void => {
    const script = readFileSync(join(dist, SCRIPTS, file), 'utf8');
    new Function('__d', script)(define);
  };
  return { load, run, pathOf: (id) => defined.get(1)?.paths[id] ?? '' };
};

const made: string[] = [];
const shared = async (text?: string): Promise<{ dist: string; files: Map<string, string[]>; page: Page }> => {
  const dist = exported(text);
  made.push(dist);
  const files = await shareModules(dist);
  const page = pageOf(dist);
  for (const part of ['__common', 'entry']) page.load(files.get(part)![0]!);
  return { dist, files, page };
};
afterAll(() => made.forEach((folder) => rmSync(folder, { recursive: true })));

const moduleOf = (id: number, asks: number[] = [], text = ''): ScriptModule => ({ id, asks, text });

test('a module stays first, is copied to two parts, or shared by more, as its users ask', () => {
  const [long, pair, own, small] = [moduleOf(10, [13], LONG), moduleOf(11), moduleOf(12), moduleOf(14)];
  const below = moduleOf(13, [], 'below');
  const all = [10, 14];
  const plan = planOf(
    [long, pair, own, below, small],
    [
      ['entry', [moduleOf(1, [12])]],
      ['goods', [moduleOf(20, [...all, 11])]],
      ['shop', [moduleOf(21, [...all, 11])]],
      ['check', [moduleOf(22, all)]],
    ],
    'entry',
  );
  expect(plan.first).toEqual([own]);
  expect([...plan.copies]).toEqual([
    ['goods', [pair]],
    ['shop', [pair]],
  ]);
  expect(plan.shared).toEqual([{ names: ['goods', 'shop', 'check'], modules: [long, below, small] }]);
});

test('modules of many parts that are not worth a file stay with the first scripts', () => {
  const small = moduleOf(10, [], 'small');
  const parts = ['a', 'b', 'c'].map((name, at): [string, ScriptModule[]] => [name, [moduleOf(at, [10])]]);
  expect(planOf([small], parts, 'entry')).toEqual({ first: [small], copies: new Map(), shared: [] });
});

test('a module that nobody is seen to use stays where it was', () => {
  const lone = moduleOf(10, [], 'lone');
  expect(planOf([lone], [['entry', [moduleOf(1)]]], 'entry').first).toEqual([lone]);
});

test('a part runs with the files that its path names, and the first scripts no longer hold what parts share', async () => {
  const { page, files } = await shared();
  expect(page.run(1)).toEqual({ says: 'entry', uses: ['of all'] });
  expect(() => page.run(20)).toThrow('module 20 is not there');
  for (const [id, part] of [
    [20, 'goods'],
    [21, 'shop'],
    [22, 'check'],
  ] as const) {
    const named = page.pathOf(id).split(' ');
    expect(named).toEqual(files.get(part)!.map(pathTo));
    expect(named).toHaveLength(2);
    for (const path of named) page.load(path.split('/').at(-1)!);
  }
  expect(page.run(20)).toEqual({ says: 'goods', uses: [LONG, 'of two'] });
  expect(page.run(21).uses).toEqual([LONG, 'of two']);
  expect(page.run(22)).toEqual({ says: 'check\n`', uses: [LONG] });
});

test('a worker holds all that it uses and is loaded alone', async () => {
  const { page, files, dist } = await shared();
  expect(page.pathOf(30)).toBe(pathTo(files.get('checker')![0]!));
  expect(readFileSync(join(dist, SCRIPTS, files.get('checker')![0]!), 'utf8')).toContain('of two');
});

test('pages name the files that are there, and a file changes its name with what it holds or names', async () => {
  const { dist, files } = await shared();
  const there = readdirSync(join(dist, SCRIPTS));
  const page = readFileSync(join(dist, 'index.html'), 'utf8');
  const inPage = [...page.matchAll(/([\w-]+\.js)/g)].map(([file]) => file);
  expect(inPage).toEqual([...files.get('__common')!, ...files.get('entry')!]);
  expect(there).toEqual(expect.arrayContaining(inPage));
  expect(new Set([...files.values()].flat())).toEqual(new Set(there));
  const other = await shared(`${LONG} of a later version`);
  const same = (part: string): boolean => files.get(part)!.at(-1) === other.files.get(part)!.at(-1);
  expect(['entry', 'goods', '__common', 'checker'].filter((part) => !same(part))).toEqual(['entry']);
  expect(files.get('goods')![0]).not.toBe(other.files.get('goods')![0]);
});

test('an export without its common script is refused', async () => {
  const dist = exported();
  made.push(dist);
  rmSync(join(dist, SCRIPTS, COMMON));
  await expect(shareModules(dist)).rejects.toThrow('the export has no common script or no entry');
});
