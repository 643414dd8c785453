import type { Weekday } from '../model/unit.ts';
import { listed } from '../words/names.ts';

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];
const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** A date in a sentence: '24 December 2026', without its year where it comes round. */
export const dateWords = (date: string, everyYear: boolean): string => {
  const [year, month, day] = date.split('-');
  return `${Number(day)} ${MONTHS[Number(month) - 1] ?? month}${everyYear ? '' : ` ${year}`}`;
};

/** 'Monday or Friday'. */
export const weekdayWords = (days: readonly Weekday[]): string =>
  listed(
    [...days].sort().map((day) => DAYS[day - 1] ?? ''),
    'or',
  );
