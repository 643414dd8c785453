import type { Book } from '../../core/model/book.ts';
import type { Source, Withheld, WithheldCode } from '../../core/model/quote.ts';

/** Where a rule is edited: the address of its page. */
export interface RuleLink {
  pathname: '/charges' | '/settings' | '/reach' | '/goods';
  params: {
    zone?: string;
    service?: string;
    panel?: 'zone' | 'service' | 'groups' | 'boxes';
    part?: 'adjustments' | 'tables' | 'postal' | 'nearby' | 'locations' | 'carriers' | 'duties';
    area?: string;
    pickup?: string;
    account?: string;
    box?: string;
    table?: string;
    adjustment?: string;
    good?: string;
    group?: string;
    only?: 'missing';
  };
}

/** Reasons that are about where the shop sells, not about one rule. */
const ABOUT_REACH: readonly WithheldCode[] = ['not-sold-there', 'no-zone'];

/** Reasons that are about goods, not about the rule that asked for their figures. */
const ABOUT_GOODS: readonly WithheldCode[] = ['weight-unknown', 'size-unknown'];

/** The kinds of rule that a link leads to, beside those of the working's lines. */
type Linked = Source['kind'] | 'location' | 'box';

/** The page of one of a problem's rules: a part after a colon is left off the id. */
export const whereLink = (book: Book, { kind, id: whole }: { kind: string; id: string }): RuleLink | null => {
  const id = kind === 'good' || kind === 'postal' ? whole : (whole.split(':')[0] ?? whole);
  if ((kind as Linked) === 'location') return { pathname: '/settings', params: { part: 'locations' } };
  if ((kind as Linked) === 'box') return { pathname: '/goods', params: { panel: 'boxes', box: id } };
  return ruleLink(book, { kind: kind as Source['kind'], id });
};

/** The page of the rule that a line of a working or a reason leads to; null where the rule has none. */
export const ruleLink = (
  book: Book,
  from: Source,
  withheld?: Pick<Withheld, 'id' | 'code'>,
): RuleLink | null => {
  if (withheld && ABOUT_REACH.includes(withheld.code)) return { pathname: '/reach', params: {} };
  if (withheld && ABOUT_GOODS.includes(withheld.code))
    return { pathname: '/goods', params: { only: 'missing' } };
  if (from.kind === 'rate') {
    const rate = book.rates.find((one) => one.id === from.id);
    return rate ? { pathname: '/charges', params: { zone: rate.zoneId, service: rate.serviceId } } : null;
  }
  if (from.kind === 'adjustment')
    return { pathname: '/charges', params: { part: 'adjustments', adjustment: from.id } };
  if (from.kind === 'carrier')
    return { pathname: '/charges', params: { part: 'carriers', account: from.id } };
  if (from.kind === 'area') return { pathname: '/reach', params: { part: 'nearby', area: from.id } };
  if (from.kind === 'pickup') return { pathname: '/reach', params: { part: 'nearby', pickup: from.id } };
  if (from.kind === 'duty') return { pathname: '/charges', params: { part: 'duties' } };
  if (from.kind === 'table') return { pathname: '/charges', params: { part: 'tables', table: from.id } };
  if (from.kind === 'postal' || withheld?.code === 'postal-not-served')
    return { pathname: '/reach', params: { part: 'postal' } };
  if (from.kind === 'good') return { pathname: '/goods', params: { good: from.id } };
  if (from.kind === 'group') return { pathname: '/goods', params: { panel: 'groups', group: from.id } };
  if (from.kind === 'store') return { pathname: '/settings', params: {} };
  if (from.kind !== 'zone') return null;
  const isService = withheld !== undefined && book.services.some((service) => service.id === withheld.id);
  return {
    pathname: '/charges',
    params: isService ? { zone: from.id, service: withheld.id } : { zone: from.id, panel: 'zone' },
  };
};
