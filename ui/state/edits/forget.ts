import type { Book } from '../../../core/model/book.ts';

type Named = 'services' | 'zones' | 'groups' | 'areas' | 'pickups';

const without = (ids: string[] | undefined, id: string): void => {
  const at = ids?.indexOf(id) ?? -1;
  if (at >= 0) ids?.splice(at, 1);
};

const forgetInGroups = ({ groups }: Book, what: Named, id: string): void => {
  for (const { shipping, onlyZones, neverZones } of groups) {
    if (what === 'services' && typeof shipping !== 'string') without(shipping, id);
    if (what !== 'zones') continue;
    without(onlyZones, id);
    without(neverZones, id);
  }
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
    if (what === 'areas') without(to.areaIds, id);
    if (what === 'pickups') without(to.pickupIds, id);
    if (what !== 'groups') continue;
    if (effect.do === 'add') without(effect.goods?.groupIds, id);
    for (const condition of when) if (condition.test === 'goods') without(condition.groupIds, id);
  }
};
