import { useMemo } from 'react';
import type { Destination } from '../../../core/model/place.ts';
import type { QuoteRequest } from '../../../core/model/request.ts';
import type { CompiledBook } from '../../../core/quote/compile.ts';
import { located, useGazetteer } from '../../places/use-gazetteer.ts';
import { useAppSelector } from '../../state/store.ts';
import { destinationOf, type AddressValues, type Asked } from './address-form.ts';
import { shopperOf } from './shopper.ts';

/** Where goods change hands that are collected: the location of the pickup point that is chosen, or of the first. */
const handedOverAt = ({ pickups }: CompiledBook, wanted: string | null): Destination | null => {
  const active = pickups.filter(({ point }) => point.active);
  const pickup = active.find(({ point }) => point.id === wanted) ?? active[0];
  if (!pickup) return null;
  const { country, subdivision, point } = pickup.location.address;
  return { country, ...(subdivision ? { subdivision } : {}), ...(point ? { point } : {}) };
};

/** What an order is quoted by. */
interface Asking {
  compiled: CompiledBook;
  ship: AddressValues;
  asked: Asked;
  /** The choice that was made, which says where goods are collected. */
  wanted: string | null;
  moment: string;
  taken: QuoteRequest['slotsTaken'];
  /** A discount code; '' is none. */
  code: string;
}

/** The order that a basket and an address make; null until the address says where, and where nothing is in the basket. */
export const useCheckoutRequest = ({
  compiled,
  ship,
  asked,
  wanted,
  moment,
  taken,
  code,
}: Asking): QuoteRequest | null => {
  const basket = useAppSelector((state) => state.basket);
  const customer = useAppSelector((state) => state.session.seenAs);
  const gazetteer = useGazetteer(ship.country);
  const where = JSON.stringify(
    asked === 'name' ? handedOverAt(compiled, wanted) : destinationOf(ship, asked),
  );
  return useMemo(() => {
    const typed = JSON.parse(where) as QuoteRequest['destination'];
    const destination = typed && gazetteer && !typed.point ? located(typed) : typed;
    const lines = basket.filter(({ sku }) => compiled.goods.has(sku));
    return destination && lines.length > 0
      ? { destination, lines, placedAt: moment, slotsTaken: taken, ...shopperOf(customer, code) }
      : null;
  }, [where, gazetteer, basket, compiled, moment, taken, customer, code]);
};
