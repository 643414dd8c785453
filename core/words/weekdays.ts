import { t } from '../translate/translate.ts';

/** The days of the week, Monday first. */
export const WEEKDAYS = [
  t('Monday'),
  t('Tuesday'),
  t('Wednesday'),
  t('Thursday'),
  t('Friday'),
  t('Saturday'),
  t('Sunday'),
] as const;
