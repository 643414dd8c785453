import type { Choice, Notice, Quote } from '../model/quote.ts';
import type { DisplayFormat } from '../words/figure.ts';
import { messageOf } from '../words/message-of.ts';
import type { CompiledBook } from './compile.ts';
import { noticeOf } from './notice.ts';

/** A service that waits for its carrier. */
export interface Pending {
  rateId: string;
  name: string;
  account: string;
}

/** A notice that tells of fallbacks, of the others than these alone; nothing where there are none. */
const withoutFallbacks = (
  notice: Notice,
  fallbacks: readonly Choice[],
  display: DisplayFormat,
): readonly Notice[] => {
  const say = messageOf(notice);
  if (say?.code !== 'fallback-used') return [notice];
  const services = say.services.filter((service) => fallbacks.every(({ name }) => name !== service));
  return services.length === 0 ? [] : [noticeOf({ code: say.code, services }, display)];
};

/**
 * A quote without what it says of carriers that have not answered yet: neither their fallbacks nor that they
 * failed; and the services that wait for them. `waiting` are accounts.
 */
export const withoutPending = (
  { book, accounts, display }: CompiledBook,
  quoted: Quote,
  waiting: ReadonlySet<string>,
): { quote: Quote; pending: Pending[] } => {
  if (waiting.size === 0) return { quote: quoted, pending: [] };
  const waits = new Map(
    book.rates.flatMap(({ id, serviceId, price }) =>
      price.kind === 'carrier' && waiting.has(price.accountId) ? [[id, { serviceId, price }] as const] : [],
    ),
  );
  const isPending = (id: string): boolean => waits.has(id.replace(/:(DAP|DDP)$/, ''));
  const fallbacks = quoted.choices.filter(({ id }) => isPending(id));
  const failed = quoted.withheld.filter(({ id, code }) => code === 'carrier-error' && isPending(id));
  const pending = [...fallbacks, ...failed].map(({ id }): Pending => {
    const rateId = id.replace(/:(DAP|DDP)$/, '');
    const { serviceId, price } = waits.get(rateId) ?? { serviceId: '', price: null };
    return {
      rateId,
      name: book.services.find((service) => service.id === serviceId)?.name ?? serviceId,
      account: accounts.get(price?.accountId ?? '')?.account.name ?? '',
    };
  });
  return {
    quote: {
      ...quoted,
      parcels: quoted.parcels,
      choices: quoted.choices.filter((choice) => !fallbacks.includes(choice)),
      withheld: quoted.withheld.filter((one) => !failed.includes(one)),
      notices: quoted.notices.flatMap((notice) => withoutFallbacks(notice, fallbacks, display)),
    },
    pending: pending.filter(({ rateId }, at) => pending.findIndex((one) => one.rateId === rateId) === at),
  };
};
