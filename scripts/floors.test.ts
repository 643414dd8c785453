import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(__dirname, '..');
const TYPE_OF_QUOTE = `import type { CompiledBook } from '../quote/compile.ts';\nexport type Book = CompiledBook;\n`;

const PAGE_HEAD = `import { PageHead } from '../page/page-head.tsx';\nexport const Head = PageHead;\n`;

/** The floors, and the rules that an import from the quote breaks below it and above it, as ESLint tells. */
const PROBE = `
  import { ESLint } from 'eslint';
  import { FLOORS, UI_FLOORS } from './eslint.floors.mjs';
  import { drawFloors } from './scripts/floors.mjs';
  const eslint = new ESLint();
  const broken = async (filePath, text = ${JSON.stringify(TYPE_OF_QUOTE)}) => {
    const [{ messages }] = await eslint.lintText(text, { filePath });
    return messages.map(({ ruleId }) => ruleId);
  };
  const upwards = await broken('ui/parts/upwards.ts', ${JSON.stringify(PAGE_HEAD)});
  const downwards = await broken('ui/screens/check/downwards.ts', ${JSON.stringify(PAGE_HEAD.replace('..', '../..'))});
  const below = await broken('core/price/below.ts');
  const above = await broken('core/audit/above.ts');
  console.log(JSON.stringify({ floors: FLOORS, uiFloors: UI_FLOORS, below, above, upwards, downwards, picture: drawFloors() }));
`;

interface Probed {
  floors: string[];
  uiFloors: string[];
  below: string[];
  above: string[];
  upwards: string[];
  downwards: string[];
  picture: string;
}

const probed = (): Probed => {
  const { stdout } = spawnSync(process.execPath, ['--input-type=module', '-e', PROBE], {
    cwd: ROOT,
    encoding: 'utf8',
  });
  return JSON.parse(stdout) as Probed;
};

const foldersOf = (folder: string): string[] =>
  readdirSync(join(ROOT, folder), { withFileTypes: true })
    .filter((entry) => entry.isDirectory() && entry.name !== 'testing')
    .map(({ name }) => name)
    .sort();

describe('the floors', () => {
  const found = probed();

  test('of the core hold every folder, refuse an import from above, of a type too, and are drawn as they are', () => {
    expect([...found.floors].sort()).toEqual(foldersOf('core'));
    expect([found.below, found.above]).toEqual([['import-x/no-restricted-paths'], []]);
    expect(readFileSync(join(ROOT, 'docs', 'core-floors.svg'), 'utf8')).toBe(found.picture);
  });

  test('of the interface hold every folder, and refuse an import from above', () => {
    expect([...found.uiFloors].sort()).toEqual(foldersOf('ui'));
    expect([found.upwards, found.downwards]).toEqual([['import-x/no-restricted-paths'], []]);
  });
});
