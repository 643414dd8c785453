import { t } from '../translate/translate.ts';
import type { Box, PackPlan } from '../model/pack.ts';
import type { OpeningHours, Preparation } from '../model/time.ts';
import { weightFigure, type DisplayFormat } from './figure.ts';
import { namesOf } from './names.ts';

/** Plans for time and packing in a few words. */

const DAYS = [t('Mon'), t('Tue'), t('Wed'), t('Thu'), t('Fri'), t('Sat'), t('Sun')];

/** 'Mon 09:00–17:00, Sat 09:00–12:00'; 'closed' where there are no hours. */
export const hoursPhrase = (hours: readonly OpeningHours[]): string =>
  [...hours]
    .sort((a, b) => a.day - b.day || (a.from < b.from ? -1 : 1))
    .map(({ day, from, to }) => `${DAYS[day - 1] ?? ''} ${from}–${to}`)
    .join(', ') || t('closed');

/** '90 open minutes', '2 working days', 'orders before 13:00 ready the same day at 15:30'. */
export const preparationPhrase = (preparation: Preparation): string => {
  if (preparation.kind === 'open-minutes')
    return t('{minutes, plural, one {# open minute} other {# open minutes}}', {
      minutes: preparation.minutes,
    });
  if (preparation.kind === 'working-days')
    return t('{days, plural, one {# working day} other {# working days}}', { days: preparation.days });
  const { cutoff, readyAt, days } = preparation;
  const when =
    days === 0
      ? t('the same day')
      : t('{days, plural, one {# working day} other {# working days}} later', { days });
  return t('orders before {cutoff} ready {when} at {readyAt}', { cutoff, when, readyAt });
};

/** 'one parcel', 'parcels of up to 20 kg', 'into Small, Medium'. */
export const packingPhrase = (plan: PackPlan, boxes: readonly Box[], { units }: DisplayFormat): string => {
  switch (plan.kind) {
    case 'single':
      return t('one parcel');
    case 'by-weight':
      return t('parcels of up to {weight}', { weight: weightFigure(plan.maxWeight, units) });
    case 'even':
      return t('equal parcels of up to {weight}', { weight: weightFigure(plan.maxWeight, units) });
    case 'by-count':
      return t('{maxUnits, plural, one {# unit} other {# units}} a parcel', { maxUnits: plan.maxUnits });
    case 'boxes':
      return t('into {count}', { count: namesOf(plan.boxIds, boxes).join(', ') || t('no box') });
  }
};
