import { t } from '../translate/translate.ts';

/** The names of things by their ids; an id that names nothing stands for itself. */
export const namesOf = (ids: readonly string[], all: readonly { id: string; name: string }[]): string[] =>
  ids.map((id) => all.find((one) => one.id === id)?.name ?? id);

/** 'A, B or C'; more than six are counted. */
export const listed = (names: readonly string[], joint: 'and' | 'or'): string => {
  if (names.length < 2) return names[0] ?? t('none');
  const isLong = names.length > 6;
  return t('{list} {joint, select, and {and} other {or}} {last}', {
    list: names.slice(0, isLong ? 5 : -1).join(', '),
    joint,
    last: isLong ? t('{count} more', { count: names.length - 5 }) : names.at(-1),
  });
};
