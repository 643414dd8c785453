import { t } from '../translate/translate.ts';
import type { Coverage, DeliveryArea, PickupPoint } from '../model/delivery.ts';
import type { Timing } from '../model/time.ts';
import { patternNames } from '../place/written-code.ts';
import { distanceFigure, moneyFigure, type DisplayFormat } from '../words/figure.ts';
import { kindOf } from './kinds.ts';

/** Delivery areas and pickup points in a few words, as their lists show them. */

const COVERS_SHOWN = 4;

/** 'B3H*, B3J* and 2 more', 'within 18 km', 'a shape of 6 corners'. */
export const coveragePhrase = (covers: Coverage, { units }: DisplayFormat): string => {
  if (covers.kind === 'radius')
    return t('within {distance}', { distance: distanceFigure(covers.metres, units) });
  if (covers.kind === 'shape') return t('a shape of {count} corners', { count: covers.ring.length });
  const patterns = patternNames(covers.country, covers.patterns);
  if (patterns.length === 0) return t('no postal code');
  const shown = patterns.slice(0, COVERS_SHOWN).join(', ');
  return patterns.length > COVERS_SHOWN
    ? t('{shown} and {count} more', { shown, count: patterns.length - COVERS_SHOWN })
    : shown;
};

/** Of how many days after the order's own something can be chosen. */
const ahead = (days: number): string => {
  if (days === 0) return t('on the same day');
  return days === 1
    ? t('on the same day or the next')
    : t('in the next {days, plural, one {# day} other {# days}}', { days });
};

/** '1 to 2 open days', 'up to 2 open days'. */
const openDays = (min: number, max: number): string => {
  if (min === max) return t('{min, plural, one {# open day} other {# open days}}', { min });
  return min === 0
    ? t('up to {max, plural, one {# open day} other {# open days}}', { max })
    : t('{min} to {max} open days', { min, max });
};

/** '1 to 2 open days after it is ready', 'a day in the next 14 days', 'a slot of 60 minutes on the same day'. */
export const timingPhrase = (timing: Timing): string => {
  switch (timing.kind) {
    case 'words':
      return timing.text;
    case 'days': {
      const { min, max } = timing;
      if (max === 0) return t('on the day it is ready');
      return t('{openDays} after it is ready', { openDays: openDays(min, max) });
    }
    case 'day':
      return timing.horizonDays === 0
        ? t('the same day')
        : t('a day {ahead}', { ahead: ahead(timing.horizonDays) });
    case 'slot':
      return t('a slot of {minutes} minutes {ahead}', {
        minutes: timing.minutes,
        ahead: ahead(timing.horizonDays),
      });
  }
};

/** What an area costs in a few words: '5.50 · free from 75.00 · minimum order 20.00'. */
export const areaPricePhrase = (
  { price, freeFrom, minSubtotal, serviceFee }: DeliveryArea,
  display: DisplayFormat,
): string => {
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  const { price: figure, by } = kindOf(price).phrase(price, display);
  return [
    by === null ? figure : `${figure} ${by}`,
    ...(freeFrom === undefined ? [] : [t('free from {amount}', { amount: money(freeFrom) })]),
    ...(serviceFee ? [`${serviceFee.name} ${money(serviceFee.amount)}`] : []),
    ...(minSubtotal === undefined ? [] : [t('minimum order {amount}', { amount: money(minSubtotal) })]),
  ].join(' · ');
};

/** What collecting at a point costs and how it goes. */
export const pickupPhrase = (
  { charge, timing, kerbside, minSubtotal, maxDistance }: PickupPoint,
  { decimals, units }: DisplayFormat,
): string =>
  [
    charge === 0 ? t('free') : moneyFigure(charge, decimals),
    timingPhrase(timing),
    ...(kerbside ? [t('kerbside')] : []),
    ...(minSubtotal === undefined
      ? []
      : [t('minimum order {amount}', { amount: moneyFigure(minSubtotal, decimals) })]),
    ...(maxDistance === undefined
      ? []
      : [t('up to {distance} away', { distance: distanceFigure(maxDistance, units) })]),
  ].join(' · ');
