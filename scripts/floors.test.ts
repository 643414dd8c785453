import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(__dirname, '..');
const TYPE_OF_QUOTE = `import type { CompiledBook } from '../quote/compile.ts';\nexport type Book = CompiledBook;\n`;

/** The floors, and the rules that an import from the quote breaks below it and above it, as ESLint tells. */
const PROBE = `
  import { ESLint } from 'eslint';
  import { FLOORS } from './eslint.floors.mjs';
  import { drawFloors } from './scripts/floors.mjs';
  const eslint = new ESLint();
  const broken = async (filePath) => {
    const [{ messages }] = await eslint.lintText(${JSON.stringify(TYPE_OF_QUOTE)}, { filePath });
    return messages.map(({ ruleId }) => ruleId);
  };
  const below = await broken('core/price/below.ts');
  const above = await broken('core/audit/above.ts');
  console.log(JSON.stringify({ floors: FLOORS, below, above, picture: drawFloors() }));
`;

interface Probed {
  floors: string[];
  below: string[];
  above: string[];
  picture: string;
}

const probed = (): Probed => {
  const { stdout } = spawnSync(process.execPath, ['--input-type=module', '-e', PROBE], {
    cwd: ROOT,
    encoding: 'utf8',
  });
  return JSON.parse(stdout) as Probed;
};

test('the floors of the core hold every folder, refuse an import from above, of a type too, and are drawn as they are', () => {
  const { floors, below, above, picture } = probed();
  const folders = readdirSync(join(ROOT, 'core'), { withFileTypes: true })
    .filter((entry) => entry.isDirectory() && entry.name !== 'testing')
    .map(({ name }) => name);
  expect([...floors].sort()).toEqual(folders.sort());
  expect([below, above]).toEqual([['import-x/no-restricted-paths'], []]);
  expect(readFileSync(join(ROOT, 'docs', 'core-floors.svg'), 'utf8')).toBe(picture);
});
