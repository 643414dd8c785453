import { marked, t } from '../translate/translate.ts';
import { fault } from '../model/fault.ts';
import { IN_ENGLISH, LANGUAGES, LANGUAGE_NAMES, type Language } from '../model/language.ts';
import { noteSchema } from '../model/unit.ts';
import type { TextPart } from '../words/customer/own-texts.ts';
import { cellAt, listColumn, unread, type ListFormat } from './list-format.ts';
import { words, type SheetColumn } from './sheet-column.ts';

/** The columns of a shop's own texts in a file. */
export type TextColumn = 'part' | 'text' | 'as';

/** A text of the shop and what it is in another language; '' where nobody has written that yet. */
export interface TextRow {
  text: string;
  as: string;
}

/** How a list of texts is meant: the texts that the shop has. */
export interface TextMeaning {
  own: readonly string[];
}

/** What the parts of a shop's texts are called. */
export const TEXT_PARTS: Record<TextPart, string> = {
  ways: marked('Ways to get an order'),
  messages: marked('Messages'),
  payments: marked('Payments and taxes'),
  goods: marked('Products'),
};

const ANY_LANGUAGE = LANGUAGES.flatMap((one) => [IN_ENGLISH[one], LANGUAGE_NAMES[one], one]);

/** The translation may stand under the name of any language. */
const COLUMNS = [
  listColumn<TextColumn>(
    'part',
    marked('Used for'),
    words(t('Where customers read it. Only to help whoever translates.')),
    ['for', 'part', 'context'],
  ),
  listColumn<TextColumn>(
    'text',
    marked('Text'),
    words(t('As you wrote it; leave it as it is, so that its translation finds it.')),
    ['source', 'original'],
    { needed: true },
  ),
  listColumn<TextColumn>(
    'as',
    marked('Translation'),
    words(t('What customers read instead; empty for nothing yet.')),
    ['target', 'translated', ...ANY_LANGUAGE],
    { needed: true },
  ),
];

/** The columns as they are written for a language. */
export const textsSheet = (language: Language): SheetColumn[] =>
  COLUMNS.map(({ column, name, about, isNumber }) => ({
    heading: column === 'as' ? IN_ENGLISH[language] : name,
    about,
    isNumber,
  }));

/** The cells of a text, in the order of the columns; read back it is the same text. */
export const textCells = ({ part, text, as }: TextRow & { part: TextPart }): string[] => [
  TEXT_PARTS[part],
  text,
  as,
];

/** A text without what programs change on the way: ends of lines, spaces before and after. */
const settled = (text: string): string => text.replaceAll(/\s+/g, ' ').trim();

/**
 * Texts of the shop, each as the shop has it, with what it is in another language. A text that the shop does not have
 * and one that is too long are faults.
 */
export const SHOP_TEXTS: ListFormat<TextColumn, TextRow, TextMeaning> = {
  columns: COLUMNS,
  rowReader: ({ own }) => {
    const known = new Map(own.map((text) => [settled(text), text]));
    return (cell, row) => {
      const text = known.get(settled(cell('text')));
      if (text === undefined)
        return { faults: [fault('text-unknown', cellAt(row, 'Text'), { text: cell('text') })] };
      return noteSchema.safeParse(cell('as')).success
        ? { item: { text, as: cell('as') } }
        : { faults: [unread(row, 'Translation', cell('as'), t('at most 2,000 characters'))] };
    };
  },
  unique: { column: 'text', key: ({ text }) => text },
};
