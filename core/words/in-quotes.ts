import { t } from '../translate/translate.ts';

/** A name or a text of somebody's own, in the quotation marks of the program's language. */
export const inQuotes = (text: string): string => t('“{text}”', { text });
