import { z } from 'zod';
import { t } from '../translate/translate.ts';
import { noteSchema } from './unit.ts';

/** Languages of the customer's side, by their codes (ISO 639-1). */
export const languageSchema = z.enum(['en', 'fr']);
export const LANGUAGES = languageSchema.options;
export type Language = z.infer<typeof languageSchema>;

/** What a language is called in itself. */
export const LANGUAGE_NAMES: Record<Language, string> = { en: 'English', fr: 'Français' };

/** What the merchant calls a language. */
export const LANGUAGE_WORDS: Record<Language, string> = { en: t('English'), fr: t('French') };

/** What a language is called in names of files. */
export const IN_ENGLISH: Record<Language, string> = { en: 'English', fr: 'French' };

/**
 * A text of the merchant's own, as the shop's first language has it, and what it is in another. It holds wherever the
 * same text stands; where there is none, customers read the first language.
 */
export const translationSchema = z.strictObject({
  language: languageSchema,
  text: noteSchema.min(1),
  as: noteSchema.min(1),
});
export type Translation = z.infer<typeof translationSchema>;
