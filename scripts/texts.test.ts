import { IntlMessageFormat } from 'intl-messageformat';
import { existsSync, readFileSync } from 'node:fs';
import { inEnglish } from '../core/translate/translate.ts';
import { languageFiles, textsOfProgram } from './texts.mjs';

/** A value for each name of a message: a count where it decides a plural, else a word. */
const valuesFor = (source: string, count: number): Record<string, string | number> =>
  Object.fromEntries(
    [...source.matchAll(/\{(\w+)(?:, (plural|select))?/g)].map(([, name, kind]) => [
      name,
      kind === 'plural' || (kind === undefined && new RegExp(`\\{${name}, plural`).test(source))
        ? count
        : 'yes',
    ]),
  );

describe('the texts of the program', () => {
  test('are in the catalogue, and each language has its file: else run npm run texts', () => {
    const stale = [...languageFiles()].filter(
      ([path, text]) => !existsSync(path) || readFileSync(path, 'utf8') !== text,
    );
    expect(stale.map(([path]) => path)).toEqual([]);
  });

  test('are messages that the library of messages says as the program says them in English', () => {
    const texts = textsOfProgram();
    expect(texts.length).toBeGreaterThan(2_000);
    for (const { msgid } of texts)
      for (const count of [0, 1, 2, 12_345]) {
        const values = valuesFor(msgid, count);
        const format = new IntlMessageFormat(msgid, 'en', undefined, { ignoreTag: true });
        expect([msgid, inEnglish(msgid, values)]).toEqual([msgid, format.format(values)]);
      }
  });
});
