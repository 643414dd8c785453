import { readBook, readCatalogue, readJson, readTrials } from '../../../core/formats/read.ts';
import type { Fault, Result } from '../../../core/model/fault.ts';
import { locatedSentence } from '../../../core/words/fault-sentence.ts';
import { upToDate, VERSIONS } from './versions.ts';

type Fields = Record<string, unknown>;

const faultsOf = (read: Result<unknown>): Fault[] => (read.ok ? [] : read.faults);

const asFields = (value: unknown): Fields =>
  typeof value === 'object' && value !== null ? (value as Fields) : {};

/** The draft is kept without its rate tables: that it names some is no fault of it. */
const isItsOwn = ({ code, detail }: Fault): boolean =>
  !(code === 'dangling' && detail.collection === 'rateTables');

/**
 * What keeps a document of this device from being read, a sentence for each fault with its place. `kind` is the draft
 * or the goods; a document that was only set aside with the other has none. Of a text that is no JSON, where it stops being one.
 */
export const documentFaults = (kind: 'draft' | 'catalogue', text: string): string[] => {
  const json = readJson(text);
  if (!json.ok) return json.faults.map(locatedSentence);
  const document = asFields(upToDate(kind, json.value));
  const faults =
    kind === 'draft'
      ? [...faultsOf(readBook(document.book)).filter(isItsOwn), ...faultsOf(readTrials(document.trials))]
      : faultsOf(readCatalogue(document.catalogue));
  if (Number(document.version) > VERSIONS[kind]) return ['It is from a later version of this program.'];
  return faults.map(locatedSentence);
};
