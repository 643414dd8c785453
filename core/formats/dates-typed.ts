import { dateOf, dayOf } from '../time/calendar.ts';
import { withSingleBlanks } from '../model/blanks.ts';
import { localDateSchema } from '../model/unit.ts';
import { t } from '../translate/translate.ts';

export type TypedDates = { ok: true; dates: string[] } | { ok: false; text: string };

const LONGEST = 366;

const rangeOf = (text: string): string[] | null => {
  const ends = text.split(/\s*(?:\.\.|–|—|\bto\b|\bau?\b|à)\s*/i);
  const [from = '', to = from] = ends;
  if (ends.length > 2 || !localDateSchema.safeParse(from).success || !localDateSchema.safeParse(to).success)
    return null;
  const count = dayOf(to) - dayOf(from) + 1;
  if (count < 1 || count > LONGEST) return null;
  return Array.from({ length: count }, (_, at) => dateOf(dayOf(from) + at));
};

/** '2026-12-25, 2027-08-01 to 2027-08-14' as single dates, in order and each once. */
export const typedDates = (text: string): TypedDates => {
  const dates = new Set<string>();
  for (const part of text.split(/[,;\n]/).map(withSingleBlanks)) {
    if (part === '') continue;
    const range = rangeOf(part);
    if (!range) return { ok: false, text: part };
    for (const date of range) dates.add(date);
  }
  return { ok: true, dates: [...dates].sort() };
};

/** Dates as they are typed, days in a row as one range. */
export const datesText = (dates: readonly string[]): string => {
  const runs: { from: string; to: string }[] = [];
  for (const date of [...dates].sort()) {
    const last = runs.at(-1);
    if (last && dayOf(date) === dayOf(last.to) + 1) last.to = date;
    else runs.push({ from: date, to: date });
  }
  return runs
    .map(({ from, to }) => (from === to ? from : t('{from} to {to}', { from, to }, 'dates')))
    .join(', ');
};
