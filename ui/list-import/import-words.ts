import { t } from '../../core/translate/translate.ts';

/** The button that imports the rows without faults, where others have some. */
export const importSoundLabel = (sound: number): string =>
  t('Import {sound, plural, one {# row} other {# rows}} without faults', { sound });

/** What was imported, and how many rows with faults were not. */
export const withLeftOut = (text: string, faulty: number): string =>
  faulty === 0
    ? text
    : `${text} ${t('{faulty, plural, one {# row} other {# rows}} not imported.', { faulty })}`;
