import type { Box, PackPlan } from '../model/pack.ts';
import type { OpeningHours, Preparation } from '../model/time.ts';
import { countFigure, weightFigure, type DisplayFormat } from './figure.ts';
import { namesOf } from './names.ts';

/** Plans for time and packing in a few words. */

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** 'Mon 09:00–17:00, Sat 09:00–12:00'; 'closed' where there are no hours. */
export const hoursPhrase = (hours: readonly OpeningHours[]): string =>
  [...hours]
    .sort((a, b) => a.day - b.day || (a.from < b.from ? -1 : 1))
    .map(({ day, from, to }) => `${DAYS[day - 1] ?? ''} ${from}–${to}`)
    .join(', ') || 'closed';

/** '90 open minutes', '2 working days', 'orders before 13:00 ready the same day at 15:30'. */
export const preparationPhrase = (preparation: Preparation): string => {
  if (preparation.kind === 'open-minutes') return countFigure(preparation.minutes, 'open minute');
  if (preparation.kind === 'working-days') return countFigure(preparation.days, 'working day');
  const { cutoff, readyAt, days } = preparation;
  const when = days === 0 ? 'the same day' : `${countFigure(days, 'working day')} later`;
  return `orders before ${cutoff} ready ${when} at ${readyAt}`;
};

/** 'one parcel', 'parcels of up to 20 kg', 'into Small, Medium'. */
export const packingPhrase = (plan: PackPlan, boxes: readonly Box[], { units }: DisplayFormat): string => {
  switch (plan.kind) {
    case 'single':
      return 'one parcel';
    case 'by-weight':
      return `parcels of up to ${weightFigure(plan.maxWeight, units)}`;
    case 'even':
      return `equal parcels of up to ${weightFigure(plan.maxWeight, units)}`;
    case 'by-count':
      return `${countFigure(plan.maxUnits, 'unit')} a parcel`;
    case 'boxes':
      return `into ${namesOf(plan.boxIds, boxes).join(', ') || 'no box'}`;
  }
};
