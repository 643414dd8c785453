import type { Adjustment, Condition } from '../model/adjustment.ts';
import { holdsPlace } from '../place/place-index.ts';
import type { Place } from '../place/place.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { PlaceClass } from './place-classes.ts';

type ForPlaces = Extract<Condition, { test: 'destination' }>;

/** Whether the regions that a condition names hold a place, whatever the condition asks of that. */
export const isNamedIn = (
  { parts }: Pick<CompiledBook, 'parts'>,
  { in: regions }: ForPlaces,
  place: Place,
): boolean => holdsPlace(parts.regions(regions), place);

const mayMeet = (
  compiled: CompiledBook,
  { when, to }: Adjustment,
  { place, zone, served }: PlaceClass,
): boolean =>
  when.every((one) => one.test !== 'destination' || isNamedIn(compiled, one, place) !== (one.not ?? false)) &&
  (to.zoneIds === undefined || (served && zone !== null && to.zoneIds.includes(zone.zone.id)));

/** The adjustments that may touch a choice of a class of places, in their order; the others are never met there. */
export const relevantTo = (compiled: CompiledBook, place: PlaceClass): Adjustment[] =>
  compiled.adjustments
    .map(({ adjustment }) => adjustment)
    .filter((adjustment) => mayMeet(compiled, adjustment, place));
