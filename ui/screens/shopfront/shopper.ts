import type { QuoteRequest } from '../../../core/model/request.ts';

/** The channel that orders of the shopfront come by. */
const SHOP_CHANNEL = 'shopfront';

/** What an order says of who places it. */
export const shopperOf = (
  customer: string | null,
  code: string,
): Pick<QuoteRequest, 'channel' | 'customer' | 'code'> => ({
  channel: SHOP_CHANNEL,
  ...(customer === null ? {} : { customer }),
  ...(code.trim() === '' ? {} : { code: code.trim() }),
});
