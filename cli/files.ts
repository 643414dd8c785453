import { readFileSync } from 'node:fs';
import { t } from '../core/translate/translate.ts';
import { answersAtOnce } from '../carriers/stand-ins.ts';
import { readBook, readCatalogue, readJson } from '../core/formats/read.ts';
import type { Fault, Result } from '../core/model/fault.ts';
import { compile, type CompiledBook } from '../core/quote/compile.ts';
import { makeParts } from '../core/quote/compiled-parts.ts';
import { locatedSentence } from '../core/words/fault-sentence.ts';
import { regionName } from '../core/words/region-name.ts';

/** The command could not run: what is wrong, line by line, for standard error. */
export class CannotRun extends Error {
  readonly lines: readonly string[];

  constructor(...lines: string[]) {
    super(lines.join('\n'));
    this.lines = lines;
  }
}

const sentences = (file: string, faults: readonly Fault[]): string[] =>
  faults.map((fault) => `${file}: ${locatedSentence(fault)}`);

const textOf = (file: string): string => {
  try {
    return readFileSync(file, 'utf8');
  } catch (error) {
    throw new CannotRun(
      t('{file}: cannot be read ({error}).', {
        file,
        error: (error as NodeJS.ErrnoException).code ?? String(error),
      }),
    );
  }
};

/** What a JSON file holds, read by a reader; any fault stops the command, named by file and path. */
export const readFileWith = <T>(file: string, reader: (value: unknown) => Result<T>): T => {
  const json = readJson(textOf(file));
  const read = json.ok ? reader(json.value) : json;
  if (!read.ok) throw new CannotRun(...sentences(file, read.faults));
  return read.value;
};

/** The book and catalogue that two options name, compiled; with the stand-ins, carriers' answers are theirs. */
export const readShop = (bookFile: string, catalogueFile: string, standIns = false): CompiledBook => {
  const book = readFileWith(bookFile, readBook);
  const catalogue = readFileWith(catalogueFile, (value) => readCatalogue(value, book));
  return compile(book, catalogue, standIns ? answersAtOnce : null, makeParts({ regionName }));
};
