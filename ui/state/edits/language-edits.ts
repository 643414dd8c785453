import type { Language, Translation } from '../../../core/model/language.ts';
import type { Workbook } from '../workbook.ts';

/** Changes to the languages that customers read. Each changes the workbook it is given, which is a draft of the state. */
export const languageEdits = {
  /** The languages of the shop, the one the book is written in first. What was translated stays. */
  setLanguages: ({ book }: Workbook, { languages }: { languages: Language[] }): void => {
    book.store.languages = languages;
  },

  /** What a text is in another language; '' takes the translation out. */
  setTranslation: ({ book }: Workbook, { language, text, as }: Translation): void => {
    const others = (book.translations ?? []).filter((one) => one.language !== language || one.text !== text);
    const next = as === '' ? others : [...others, { language, text, as }];
    if (next.length > 0) book.translations = next;
    else delete book.translations;
  },

  /** What texts are in another language, each as `setTranslation` would; those without a translation stay as they are. */
  setTranslations: (
    workbook: Workbook,
    { language, texts }: { language: Language; texts: readonly Pick<Translation, 'text' | 'as'>[] },
  ): void => {
    const { book } = workbook;
    const next = new Map(texts.filter(({ as }) => as !== '').map(({ text, as }) => [text, as]));
    if (next.size === 0) return;
    book.translations = [
      ...(book.translations ?? []).filter((one) => one.language !== language || !next.has(one.text)),
      ...[...next].map(([text, as]) => ({ language, text, as })),
    ];
  },
};
