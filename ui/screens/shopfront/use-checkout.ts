import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import type { Fault } from '../../../core/model/fault.ts';
import type { Choice } from '../../../core/model/quote.ts';
import type { QuoteRequest } from '../../../core/model/request.ts';
import type { PaymentOption } from '../../../core/model/tax.ts';
import { nextNumber, placeOrder } from '../../../core/order/place-order.ts';
import { timedId } from '../../../core/order/slots-taken.ts';
import { slotDays, type SlotDay } from '../../../core/time/slot-days.ts';
import type { TimeSlot } from '../../../core/time/times.ts';
import { useCarriers } from '../../carriers/use-carriers.ts';
import { useNow } from '../../parts/use-now.ts';
import { located, useGazetteer } from '../../places/use-gazetteer.ts';
import { emptied } from '../../state/basket.ts';
import { selectCustomerView, type CustomerView } from '../../state/customer-view.ts';
import { holdsEnded, slotsTakenOrHeld } from '../../state/holds.ts';
import { orderPlaced } from '../../state/orders.ts';
import { selectPastOrders } from '../../state/selectors.ts';
import { selectServedBook, selectServedCompiled } from '../../state/served.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { checkoutMoment, useHeldSlots, WHOLE } from './held-slots.ts';
import { useParts, type PartsCheckout } from './use-parts.ts';
import {
  billingOf,
  checkoutSchema,
  destinationOf,
  EMPTY_ADDRESS,
  type CheckoutValues,
} from './address-form.ts';

/** The channel that orders of the shopfront come by. */
export const SHOP_CHANNEL = 'shopfront';

/** What an order says of who places it. */
export const shopperOf = (
  customer: string | null,
  code: string,
): Pick<QuoteRequest, 'channel' | 'customer' | 'code'> => ({
  channel: SHOP_CHANNEL,
  ...(customer === null ? {} : { customer }),
  ...(code.trim() === '' ? {} : { code: code.trim() }),
});

const NO_DAYS: readonly SlotDay[] = [];
const NO_QUESTIONS: CustomerView['questions'] = [];

export interface Checkout {
  form: UseFormReturn<CheckoutValues>;
  values: CheckoutValues;
  /** What is offered; null until the address says where. */
  view: CustomerView | null;
  chosen: Choice | null;
  choose: (id: string) => void;
  /** The days and times of the choice, those that are full too; the one picked, kept while the customer finishes. */
  days: readonly SlotDay[];
  slot: TimeSlot | null;
  pick: (slot: TimeSlot) => void;
  /** Why a time that was picked is no longer kept. */
  released: 'time' | 'taken' | null;
  /** A code that was typed; '' is none. */
  code: string;
  setCode: (code: string) => void;
  /** The ways to pay that fit the choice, and the one taken. */
  payments: readonly PaymentOption[];
  payment: PaymentOption | null;
  pay: (id: string) => void;
  /** The basket in parts, where no one choice takes all of it. */
  parts: PartsCheckout | null;
  faults: readonly Fault[];
  place: () => void;
}

/** The checkout: an address that is typed, what is offered there, what is chosen, and the order placed. */
export const useCheckout = (): Checkout => {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const book = useAppSelector(selectServedBook);
  const compiled = useAppSelector(selectServedCompiled);
  const basket = useAppSelector((state) => state.basket);
  const orders = useAppSelector(selectPastOrders);
  const holds = useAppSelector((state) => state.holds);
  const taken = useMemo(() => slotsTakenOrHeld(orders, holds), [orders, holds]);
  const home = book.locations[0]?.address.country ?? '';
  const [wanted, setWanted] = useState<string | null>(null);
  const moment = checkoutMoment(holds.mine, wanted, useNow());
  const [code, setCode] = useState('');
  const [paying, setPaying] = useState<string | null>(null);
  const customer = useAppSelector((state) => state.session.seenAs);
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const form = useForm<CheckoutValues>({
    resolver: zodResolver(checkoutSchema),
    mode: 'onTouched',
    defaultValues: {
      ship: { country: home, ...EMPTY_ADDRESS },
      billSame: true,
      bill: { country: home, ...EMPTY_ADDRESS },
    },
  });
  const values = useWatch({ control: form.control }) as CheckoutValues;
  const gazetteer = useGazetteer(values.ship.country);
  const where = JSON.stringify(destinationOf(values.ship));
  const request = useMemo((): QuoteRequest | null => {
    const typed = JSON.parse(where) as QuoteRequest['destination'];
    const destination = typed && gazetteer ? located(typed) : typed;
    const lines = basket.filter(({ sku }) => compiled.goods.has(sku));
    return destination && lines.length > 0
      ? { destination, lines, placedAt: moment, slotsTaken: taken, ...shopperOf(customer, code) }
      : null;
  }, [where, gazetteer, basket, compiled, moment, taken, customer, code]);
  const view = useAppSelector((state) => selectCustomerView(state, request));
  useCarriers(view?.questions ?? NO_QUESTIONS, compiled);
  const choices = view?.quote.choices ?? [];
  const chosen = choices.find(({ id }) => id === wanted) ?? choices[0] ?? null;
  const days = useMemo(
    () => (chosen?.slots && request ? slotDays(compiled, chosen.of, request) : NO_DAYS),
    [compiled, chosen, request],
  );
  const held = useHeldSlots();
  const { slot, asOf, released } = held.look(WHOLE, chosen ? timedId(chosen.of) : null, days);
  const parts = useParts(view, form, held);
  const payments = book.payments.filter(({ id }) => chosen?.payments.includes(id));
  const payment = payments.find(({ id }) => id === paying) ?? payments[0] ?? null;
  const place = form.handleSubmit((typed) => {
    if (!request || !chosen) return;
    const placed = placeOrder(compiled, {
      request: { ...request, placedAt: asOf ?? new Date().toISOString(), slotsTaken: taken },
      at: new Date().toISOString(),
      choiceId: chosen.id,
      shown: chosen.charge,
      number: nextNumber(orders),
      recipient: typed.ship.name.trim(),
      answers: view?.asked.answers ?? [],
      ...(slot ? { slot: { start: slot.start, end: slot.end } } : {}),
      ...(payment ? { payment: payment.id } : {}),
      ...billingOf(typed),
    });
    if (!placed.ok) {
      setFaults(placed.faults);
      return;
    }
    dispatch(orderPlaced(placed.value));
    router.navigate({ pathname: '/shop/order', params: { number: placed.value.number } });
    dispatch(holdsEnded());
    dispatch(emptied());
  });
  return {
    form,
    values,
    view,
    chosen,
    days,
    slot,
    pick: (picked) => {
      if (chosen) held.pick(WHOLE, timedId(chosen.of), picked, moment);
    },
    released,
    choose: setWanted,
    code,
    setCode,
    payments,
    payment,
    pay: setPaying,
    parts,
    faults,
    place: () => void place(),
  };
};
