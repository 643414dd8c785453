import { IntlMessageFormat } from 'intl-messageformat';
import { existsSync, readFileSync } from 'node:fs';
import PO from 'pofile';
import { inEnglish } from '../core/translate/translate.ts';
import { languageFiles, textsOfProgram, textsOutside } from './texts.mjs';

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

type Elements = ReturnType<IntlMessageFormat['getAst']>;

/** The names of what is put into a message, in any of its forms. */
const askedOf = (elements: Elements): string[] =>
  elements.flatMap((element) => [
    ...('value' in element && element.type !== 0 ? [String(element.value)] : []),
    ...('options' in element ? Object.values(element.options).flatMap(({ value }) => askedOf(value)) : []),
  ]);

const messageOf = (text: string, locale: string): IntlMessageFormat =>
  new IntlMessageFormat(text, locale, undefined, { ignoreTag: true });

describe('the texts of the program', () => {
  test('are in the catalogue, and each language has its file: else run npm run texts', () => {
    const stale = [...languageFiles()].filter(
      ([path, text]) => !existsSync(path) || readFileSync(path, 'utf8') !== text,
    );
    expect(stale.map(([path]) => path)).toEqual([]);
  });

  test('leave nothing that the interface says outside of the catalogue', () => {
    expect(textsOutside()).toEqual([]);
  });

  test('are messages that the library of messages says as the program says them in English', () => {
    const texts = textsOfProgram();
    expect(texts.length).toBeGreaterThan(2_000);
    for (const { msgid } of texts) {
      const message = messageOf(msgid, 'en');
      for (const count of [0, 1, 2, 12_345]) {
        const values = valuesFor(msgid, count);
        expect([msgid, inEnglish(msgid, values)]).toEqual([msgid, message.format(values)]);
      }
    }
  });

  test('are translated by messages that ask for nothing but what the text is given', () => {
    const catalogues = [...languageFiles()].filter(([path]) => path.endsWith('.po'));
    expect(catalogues.length).toBeGreaterThan(0);
    for (const [path, text] of catalogues) {
      const { items, headers } = PO.parse(text);
      const wrong = items
        .map(({ msgid, msgstr }) => ({ msgid, as: msgstr.join('') }))
        .filter(({ msgid, as }) => {
          const given = askedOf(messageOf(msgid, 'en').getAst());
          return askedOf(messageOf(as, headers['Language'] ?? 'en').getAst()).some(
            (name) => !given.includes(name),
          );
        });
      expect([path, ...wrong]).toEqual([path]);
    }
  });
});
