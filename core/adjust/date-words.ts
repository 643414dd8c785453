import { t } from '../translate/translate.ts';
import type { Weekday } from '../model/unit.ts';
import { listed } from '../words/names.ts';
import { WEEKDAYS } from '../words/weekdays.ts';

const MONTHS = [
  t('January'),
  t('February'),
  t('March'),
  t('April'),
  t('May'),
  t('June'),
  t('July'),
  t('August'),
  t('September'),
  t('October'),
  t('November'),
  t('December'),
];

/** A date in a sentence: '24 December 2026', without its year where it comes round. */
export const dateWords = (date: string, everyYear: boolean): string => {
  const [year, month, day] = date.split('-');
  return `${Number(day)} ${MONTHS[Number(month) - 1] ?? month}${everyYear ? '' : ` ${year}`}`;
};

/** 'Monday or Friday'. */
export const weekdayWords = (days: readonly Weekday[]): string =>
  listed(
    [...days].sort().map((day) => WEEKDAYS[day - 1] ?? ''),
    'or',
  );
