import { t } from '../translate/translate.ts';

/** The first few of a list, the rest counted. */
export const firstFew = (list: readonly string[]): string =>
  list.length > 8
    ? t('{list} and {count} more', { list: list.slice(0, 8).join(', '), count: list.length - 8 })
    : list.join(', ');
