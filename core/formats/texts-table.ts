import { fault } from '../model/fault.ts';
import { IN_ENGLISH, LANGUAGES, LANGUAGE_NAMES, type Language } from '../model/language.ts';
import { noteSchema } from '../model/unit.ts';
import type { TextPart } from '../words/customer/own-texts.ts';
import {
  cellAt,
  cellsBy,
  mappingFaults,
  readList,
  unread,
  type ListColumn,
  type ListMapping,
  type ListReading,
} from './list-columns.ts';
import { words, type SheetColumn } from './sheet-column.ts';

/** The columns of a shop's own texts in a file. */
export type TextColumn = 'part' | 'text' | 'as';

/** A text of the shop and what it is in another language; '' where nobody has written that yet. */
export interface TextRow {
  text: string;
  as: string;
}

/** What the parts of a shop's texts are called. */
export const TEXT_PARTS: Record<TextPart, string> = {
  ways: 'Ways to get an order',
  messages: 'Messages',
  payments: 'Payments and taxes',
  goods: 'Products',
};

const ANY_LANGUAGE = LANGUAGES.flatMap((one) => [IN_ENGLISH[one], LANGUAGE_NAMES[one], one]);

/** The columns by which a file is read: the translation may stand under the name of any language. */
export const TEXT_COLUMNS: readonly ListColumn<TextColumn>[] = [
  { column: 'part', name: 'Used for', aliases: ['for', 'part', 'context'], needed: false, measured: false },
  { column: 'text', name: 'Text', aliases: ['source', 'original'], needed: true, measured: false },
  {
    column: 'as',
    name: 'Translation',
    aliases: ['target', 'translated', ...ANY_LANGUAGE],
    needed: true,
    measured: false,
  },
];

/** The columns as they are written for a language. */
export const textsSheet = (language: Language): SheetColumn[] => [
  { heading: 'Used for', ...words('Where customers read it. Only to help whoever translates.') },
  { heading: 'Text', ...words('As you wrote it; leave it as it is, so that its translation finds it.') },
  { heading: IN_ENGLISH[language], ...words('What customers read instead; empty for nothing yet.') },
];

/** The cells of a text, in the order of the columns; read back it is the same text. */
export const textCells = ({ part, text, as }: TextRow & { part: TextPart }): string[] => [
  TEXT_PARTS[part],
  text,
  as,
];

/** A text without what programs change on the way: ends of lines, spaces before and after. */
const settled = (text: string): string => text.replaceAll(/\s+/g, ' ').trim();

/**
 * The texts of a file whose first row has the headings, each as the shop has it, with what it is in another language. A
 * text that the shop does not have, one that is there twice, and one that is too long are faults.
 */
export const readTexts = (
  rows: readonly (readonly string[])[],
  mapping: ListMapping<TextColumn>,
  own: readonly string[],
): ListReading<TextRow> => {
  const faults = mappingFaults(mapping, TEXT_COLUMNS);
  if (faults.length > 0) return { items: [], rows: [], faults, faulty: Math.max(0, rows.length - 1) };
  const cells = cellsBy(mapping);
  const known = new Map(own.map((text) => [settled(text), text]));
  const seen = new Map<string, number>();
  return readList<TextRow>(rows, (row, at) => {
    const cell = cells(row);
    const text = known.get(settled(cell('text')));
    if (text === undefined)
      return { faults: [fault('text-unknown', cellAt(at, 'Text'), { text: cell('text') })] };
    const first = seen.get(text);
    if (first !== undefined)
      return { faults: [fault('cell-duplicate', cellAt(at, 'Text'), { text, row: first })] };
    if (!noteSchema.safeParse(cell('as')).success)
      return { faults: [unread(at, 'Translation', cell('as'), 'at most 2,000 characters')] };
    seen.set(text, at);
    return { item: { text, as: cell('as') } };
  });
};
