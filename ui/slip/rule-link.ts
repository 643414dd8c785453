import type { Book } from '../../core/model/book.ts';
import type { Source } from '../../core/model/quote.ts';

/** Where a rule is edited: the address of its page. */
export interface RuleLink {
  pathname: '/charges';
  params: { zone?: string; service?: string; panel?: 'zone' | 'service' };
}

/** The page of the rule that a line of a working or a reason leads to; null where the rule has none. */
export const ruleLink = (book: Book, from: Source, withheldId?: string): RuleLink | null => {
  if (from.kind === 'rate') {
    const rate = book.rates.find((one) => one.id === from.id);
    return rate ? { pathname: '/charges', params: { zone: rate.zoneId, service: rate.serviceId } } : null;
  }
  if (from.kind !== 'zone') return null;
  const isService = withheldId !== undefined && book.services.some((service) => service.id === withheldId);
  return {
    pathname: '/charges',
    params: isService ? { zone: from.id, service: withheldId } : { zone: from.id, panel: 'zone' },
  };
};
