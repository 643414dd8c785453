import { t } from '../translate/translate.ts';
import type { Quote } from '../model/quote.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { Cause } from './causes.ts';
import type { RuleRef } from './finding.ts';
import type { PlaceClass } from './place-classes.ts';

const STORE: RuleRef = { kind: 'store', id: 'store' };
const MOST_NEAREST = 3;

/** The zones that name a place's country, or else take everywhere else. */
const nearestZones = ({ book }: CompiledBook, country: string): RuleRef[] => {
  const active = book.zones.filter((zone) => zone.active);
  const near = active.filter(({ includes }) => includes.some((region) => region.country === country));
  return (near.length > 0 ? near : active).slice(0, MOST_NEAREST).map(({ id }) => ({ kind: 'zone', id }));
};

/** Reasons that say nothing of a rule that might have taken the order. */
const ELSEWHERE = ['outside-area', 'postal-not-served', 'rate-off', 'too-far', 'address-needed'];
const MOST_NAMED = 2;

/** The areas and pickup points whose own rules kept an order that they might have taken. */
const keepers = ({ withheld }: Quote): RuleRef[] => {
  const ids = withheld
    .filter(({ kind, code }) => kind !== 'shipping' && !ELSEWHERE.includes(code))
    .map(({ kind, id }) =>
      kind === 'delivery' ? t('area {area}', { area: id.split(':')[0] ?? id }) : t('pickup {id}', { id }),
    );
  return [...new Set(ids)].slice(0, MOST_NAMED).map((one) => {
    const [kind, id = ''] = one.split(' ');
    return { kind: kind as 'area' | 'pickup', id };
  });
};

/** Why orders to a class of places that no zone takes, or the postal list does not serve, have no choice. */
export const unservedCause = (compiled: CompiledBook, place: PlaceClass, quoted: Quote | null): Cause => {
  const near = quoted ? keepers(quoted) : [];
  const [first, ...more] = near;
  if (first) return { code: 'no-choice', where: [first, ...more] };
  if (!place.served)
    return {
      code: 'postal-not-served',
      where: [place.postalLine ? { kind: 'postal', id: place.postalLine } : STORE],
    };
  return { code: 'no-zone', where: [STORE, ...nearestZones(compiled, place.destination.country)] };
};
