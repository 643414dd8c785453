import type { Zone } from '../model/place.ts';
import type { Service } from '../model/rate.ts';
import { limitRefusal, type Refusal } from '../basket/limits.ts';
import type { OrderContext } from './order-context.ts';
import type { CompiledRate } from './compile.ts';
import { groupRefusal } from './groups.ts';

/** Why a rate does not stand for an order before its price is looked at: off, channel, goods, limits; or null. */
export const rateRefusal = (
  { request, basket, groups }: Pick<OrderContext, 'request' | 'basket' | 'groups'>,
  { rate, limits }: CompiledRate,
  service: Service,
  zone: Zone,
): Refusal | null => {
  if (!rate.active)
    return { code: 'rate-off', say: { code: 'rate-off', service: service.name, zone: zone.name } };
  const { channels } = rate;
  if (channels && (request.channel === undefined || !channels.includes(request.channel))) {
    return { code: 'channel', say: { code: 'channel', channel: request.channel ?? null, channels } };
  }
  return (
    groupRefusal(groups, basket.physical, service, zone) ??
    limitRefusal(limits, basket.travels, basket.subtotal)
  );
};
