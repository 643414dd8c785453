import type { Coverage, DeliveryArea, PickupPoint } from '../model/delivery.ts';
import type { Timing } from '../model/time.ts';
import { countFigure, distanceFigure, moneyFigure, type DisplayFormat } from '../words/figure.ts';
import { kindOf } from './kinds.ts';

/** Delivery areas and pickup points in a few words, as their lists show them. */

const COVERS_SHOWN = 4;

/** 'B3H*, B3J* and 2 more', 'within 18 km', 'a shape of 6 corners'. */
export const coveragePhrase = (covers: Coverage, { units }: DisplayFormat): string => {
  if (covers.kind === 'radius') return `within ${distanceFigure(covers.metres, units)}`;
  if (covers.kind === 'shape') return `a shape of ${covers.ring.length} corners`;
  const { patterns } = covers;
  if (patterns.length === 0) return 'no postal code';
  const shown = patterns.slice(0, COVERS_SHOWN).join(', ');
  return patterns.length > COVERS_SHOWN ? `${shown} and ${patterns.length - COVERS_SHOWN} more` : shown;
};

/** Of how many days after the order's own something can be chosen. */
const ahead = (days: number): string => {
  if (days === 0) return 'on the same day';
  return days === 1 ? 'on the same day or the next' : `in the next ${countFigure(days, 'day')}`;
};

/** '1 to 2 open days', 'up to 2 open days'. */
const openDays = (min: number, max: number): string => {
  if (min === max) return countFigure(min, 'open day');
  return min === 0 ? `up to ${countFigure(max, 'open day')}` : `${min} to ${max} open days`;
};

/** '1 to 2 open days after it is ready', 'a day in the next 14 days', 'a slot of 60 minutes on the same day'. */
export const timingPhrase = (timing: Timing): string => {
  switch (timing.kind) {
    case 'words':
      return timing.text;
    case 'days': {
      const { min, max } = timing;
      if (max === 0) return 'on the day it is ready';
      return `${openDays(min, max)} after it is ready`;
    }
    case 'day':
      return timing.horizonDays === 0 ? 'the same day' : `a day ${ahead(timing.horizonDays)}`;
    case 'slot':
      return `a slot of ${timing.minutes} minutes ${ahead(timing.horizonDays)}`;
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
    ...(freeFrom === undefined ? [] : [`free from ${money(freeFrom)}`]),
    ...(serviceFee ? [`${serviceFee.name} ${money(serviceFee.amount)}`] : []),
    ...(minSubtotal === undefined ? [] : [`minimum order ${money(minSubtotal)}`]),
  ].join(' · ');
};

/** What collecting at a point costs and how it goes. */
export const pickupPhrase = (
  { charge, timing, kerbside, minSubtotal, maxDistance }: PickupPoint,
  { decimals, units }: DisplayFormat,
): string =>
  [
    charge === 0 ? 'free' : moneyFigure(charge, decimals),
    timingPhrase(timing),
    ...(kerbside ? ['kerbside'] : []),
    ...(minSubtotal === undefined ? [] : [`minimum order ${moneyFigure(minSubtotal, decimals)}`]),
    ...(maxDistance === undefined ? [] : [`up to ${distanceFigure(maxDistance, units)} away`]),
  ].join(' · ');
