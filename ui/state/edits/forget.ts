import type { Book } from '../../../core/model/book.ts';

type Named = 'services' | 'zones' | 'groups' | 'areas' | 'pickups';

const without = (ids: string[] | undefined, id: string): void => {
  const at = ids?.indexOf(id) ?? -1;
  if (at >= 0) ids?.splice(at, 1);
};

const forgetInGroups = ({ groups }: Book, what: Named, id: string): void => {
  for (const { shipping, delivery, pickup, onlyZones, neverZones } of groups) {
    if (what === 'services' && typeof shipping !== 'string') without(shipping, id);
    if (what === 'areas' && typeof delivery !== 'string') without(delivery, id);
    if (what === 'pickups' && typeof pickup !== 'string') without(pickup, id);
    if (what !== 'zones') continue;
    without(onlyZones, id);
    without(neverZones, id);
  }
};

/** Takes a delivery method that goes out of the adjustments that aim at it. */
export const forgetMethod = ({ adjustments }: Book, areaId: string, methodId: string): void => {
  for (const { to } of adjustments)
    if (to.methods)
      to.methods = to.methods.filter((one) => one.areaId !== areaId || one.methodId !== methodId);
};

/**
 * Takes the id of a rule that goes out of every rule that names it, in a draft of the book. A list that
 * is left empty stays: a rule for one zone alone must not become a rule for all.
 */
export const forget = (book: Book, what: Named, id: string): void => {
  forgetInGroups(book, what, id);
  for (const { to, when, effect } of book.adjustments) {
    if (what === 'services') without(to.serviceIds, id);
    if (what === 'zones') without(to.zoneIds, id);
    if (what === 'areas') {
      without(to.areaIds, id);
      if (to.methods) to.methods = to.methods.filter(({ areaId }) => areaId !== id);
    }
    if (what === 'pickups') without(to.pickupIds, id);
    if (what !== 'groups') continue;
    if (effect.do === 'add') without(effect.goods?.groupIds, id);
    for (const condition of when) if (condition.test === 'goods') without(condition.groupIds, id);
  }
};
