import { t } from '../translate/translate.ts';

/** What is said of something after its name, 'Parcel: 8.50'; each language sets the colon its own way. */
export const labelled = (name: string, text: string): string => t('{name}: {text}', { name, text });
