import type { Adjustment, Condition } from '../model/adjustment.ts';
import { buildPlaceIndex, holdsPlace } from '../place/place-index.ts';
import type { Place } from '../place/place.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { memoizeByObject } from '../memo/memoize-by-object.ts';
import type { PlaceClass } from './place-classes.ts';

type ForPlaces = Extract<Condition, { test: 'destination' }>;

const indexOf = memoizeByObject(({ in: regions }: ForPlaces) => buildPlaceIndex([{ owner: null, regions }]));

/** Whether the regions that a condition names hold a place, whatever the condition asks of that. */
export const isNamedIn = (condition: ForPlaces, place: Place): boolean =>
  holdsPlace(indexOf(condition), place);

const mayMeet = ({ when, to }: Adjustment, { place, zone, served }: PlaceClass): boolean =>
  when.every((one) => one.test !== 'destination' || isNamedIn(one, place) !== (one.not ?? false)) &&
  (to.zoneIds === undefined || (served && zone !== null && to.zoneIds.includes(zone.zone.id)));

/** The adjustments that may touch a choice of a class of places, in their order; the others are never met there. */
export const relevantTo = ({ adjustments }: CompiledBook, place: PlaceClass): Adjustment[] =>
  adjustments.map(({ adjustment }) => adjustment).filter((adjustment) => mayMeet(adjustment, place));
