import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import type { PastOrder } from '../../../core/model/order.ts';
import type { PaymentOption } from '../../../core/model/tax.ts';
import { nextNumber, placeOrder } from '../../../core/order/place-order.ts';
import { slotsTaken } from '../../../core/time/slots-taken.ts';
import type { SplitPart } from '../../../core/quote/split.ts';
import { timedId } from '../../../core/time/slots-taken.ts';
import { slotDays, type SlotDay } from '../../../core/quote/slot-days.ts';
import type { TimeSlot } from '../../../core/time/times.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { quoteWithKnown } from '../../state/answers.ts';
import { checkoutDone } from '../../state/checkout-draft.ts';
import { emptied } from '../../state/basket.ts';
import type { CustomerView, Sums } from '../../state/customer-view.ts';
import { holdsEnded } from '../../state/holds.ts';
import { orderPlaced } from '../../state/orders.ts';
import { selectPastOrders } from '../../state/selectors.ts';
import { selectServedCompiled } from '../../state/served.ts';
import { selectShopBook, selectShopCompiled } from '../../state/shop-language.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { billingOf, contactOf, type CheckoutValues } from './address-form.ts';
import type { HeldSlot, HeldSlots } from './held-slots.ts';
import { orderFault } from './order-fault.ts';
import { customerLanguage } from './shopper.ts';
import { momentNow } from '../../time/now.ts';

/** A part of the basket as it is shown, with the times it can be had at. */
export interface PartShown extends SplitPart, HeldSlot {
  key: string;
  days: readonly SlotDay[];
  pick: (slot: TimeSlot) => void;
}

/** The checkout of a basket in parts. */
export interface PartsCheckout {
  parts: readonly PartShown[];
  sums: Sums;
  /** The ways to pay that fit every part; where none does, each part is paid in the first way that fits it. */
  payments: readonly PaymentOption[];
  payment: PaymentOption | null;
  /** Some part cannot be paid at all. */
  cannotPay: boolean;
  pay: (id: string) => void;
  faults: readonly string[];
  place: () => void;
}

const keyOf = ({ choice, request }: SplitPart): string =>
  `${choice.id} ${request.lines.map(({ sku }) => sku).join()}`;

type Shown = NonNullable<CustomerView['parts']>['split']['parts'];
const NO_PARTS: Shown = [];

/** The parts with their days and what is held of each. */
const usePartsShown = (split: Shown, { look, pick }: HeldSlots): PartShown[] => {
  const compiled = useAppSelector(selectShopCompiled);
  const dated = useMemo(
    () =>
      split.map((part) => ({
        ...part,
        key: keyOf(part),
        days: part.choice.slots ? slotDays(compiled, part.choice.of, part.request) : [],
      })),
    [split, compiled],
  );
  return dated.map((part) => ({
    ...part,
    ...look(part.key, timedId(part.choice.of), part.days),
    pick: (slot) => pick(part.key, timedId(part.choice.of), slot, part.request.placedAt),
  }));
};

/** How the parts can be paid: all in one way, as far as the shop says how it is paid. */
const usePartsPayment = (parts: Shown) => {
  const all = useAppSelector(selectShopBook).payments;
  const [paying, setPaying] = useState<string | null>(null);
  const payments = all.filter(({ id }) => parts.every(({ choice }) => choice.payments.includes(id)));
  return {
    payments,
    payment: payments.find(({ id }) => id === paying) ?? payments[0] ?? null,
    cannotPay: all.length > 0 && parts.some(({ choice }) => choice.payments.length === 0),
    pay: setPaying,
  };
};

/**
 * A basket that goes in parts: a time for each, a way to pay, and each part placed as an order of its own, one
 * number after the other. A fault of any keeps all of them from being placed. Null where nothing is parted.
 */
export const useParts = (
  view: CustomerView | null,
  form: UseFormReturn<CheckoutValues>,
  held: HeldSlots,
): PartsCheckout | null => {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const compiled = useAppSelector(selectServedCompiled);
  const { say, language } = useCustomerWords();
  const orders = useAppSelector(selectPastOrders);
  const known = useAppSelector((state) => state.answers);
  const [faults, setFaults] = useState<readonly string[]>([]);
  const split = view?.parts?.split.parts ?? NO_PARTS;
  const parts = usePartsShown(split, held);
  const paying = usePartsPayment(split);
  const place = form.handleSubmit((values) => {
    const placed: PastOrder[] = [];
    const at = momentNow();
    for (const { request, choice, slot, asOf } of parts) {
      const payment = paying.payment?.id ?? choice.payments[0];
      const made = placeOrder(compiled, {
        request: {
          ...request,
          placedAt: asOf ?? at,
          // Two parts may go in one way: the first takes a place of its slot from the second.
          slotsTaken: [...(request.slotsTaken ?? []), ...slotsTaken(placed)],
        },
        at,
        choiceId: choice.id,
        shown: choice.charge,
        number: nextNumber([...orders, ...placed]),
        recipient: values.ship.name.trim(),
        answers: quoteWithKnown(compiled, request, known).answers,
        ...(payment === undefined ? {} : { payment }),
        ...(slot ? { slot: { start: slot.start, end: slot.end } } : {}),
        ...billingOf(values),
        ...contactOf(values),
        ...customerLanguage(compiled, language, choice),
      });
      if (!made.ok) {
        setFaults(
          made.faults.map((fault) =>
            say('parts.fault', { name: choice.name, fault: orderFault(fault, say) }),
          ),
        );
        return;
      }
      placed.push(made.value);
    }
    for (const order of placed) dispatch(orderPlaced(order));
    const [number = '', ...others] = placed.map((order) => order.number);
    router.navigate({ pathname: '/shop/order', params: { number, others: others.join(',') } });
    dispatch(checkoutDone());
    dispatch(holdsEnded());
    dispatch(emptied());
  });
  return view?.parts ? { parts, sums: view.parts.sums, ...paying, faults, place: () => void place() } : null;
};
