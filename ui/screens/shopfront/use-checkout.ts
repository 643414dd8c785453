import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { type UseFormReturn } from 'react-hook-form';
import type { Fault } from '../../../core/model/fault.ts';
import type { Choice } from '../../../core/model/quote.ts';
import type { QuoteRequest } from '../../../core/model/request.ts';
import type { PaymentOption } from '../../../core/model/tax.ts';
import { sellsThere, sellsToPartOf } from '../../../core/place/zone-index.ts';
import type { CompiledBook } from '../../../core/quote/compile.ts';
import { waysOfGetting } from '../../../core/order/ways-of-getting.ts';
import { nextNumber, placeOrder } from '../../../core/order/place-order.ts';
import { timedId } from '../../../core/time/slots-taken.ts';
import { slotDays, type SlotDay } from '../../../core/quote/slot-days.ts';
import type { TimeSlot } from '../../../core/time/times.ts';
import { useCarriers } from '../../carriers/use-carriers.ts';
import { useNow } from '../../time/use-now.ts';
import { emptied } from '../../state/basket.ts';
import { checkoutDone } from '../../state/checkout-draft.ts';
import { selectCustomerView, type CustomerView } from '../../state/customer-view.ts';
import { holdsEnded, slotsTakenOrHeld } from '../../state/holds.ts';
import { orderPlaced } from '../../state/orders.ts';
import { selectPastOrders } from '../../state/selectors.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { selectServedCompiled } from '../../state/served.ts';
import { selectShopBook, selectShopCompiled } from '../../state/shop-language.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { checkoutMoment, useHeldSlots, WHOLE } from './held-slots.ts';
import { customerLanguage } from './shopper.ts';
import { useParts, type PartsCheckout } from './use-parts.ts';
import { billingOf, contactOf, type AddressValues, type Asked, type CheckoutValues } from './address-form.ts';
import { onlyHow, useCheckoutForm } from './use-checkout-form.ts';
import { useCheckoutRequest } from './use-checkout-request.ts';
import { momentNow } from '../../time/now.ts';

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
  /** What the form still lacks, said beside the button. */
  missing: readonly string[];
  asked: Asked;
  /** What is offered for how the customer wants it. */
  choices: readonly Choice[];
  /** A region that was chosen and is closed. */
  closed: string | null;
  /** Whether the customer chooses between what is sent and what is collected. */
  choosesHow: boolean;
  /** Whether a country may be chosen. */
  sellsTo: (country: string) => boolean;
  place: () => void;
}

/** The choices for someone who collects are the pickup points alone. */
const offeredOf = (view: CustomerView | null, asked: Asked): readonly Choice[] =>
  (view?.quote.choices ?? []).filter(({ kind }) => asked !== 'name' || kind === 'pickup');

/** The place that is closed although its country is open, as far as it is typed; null where the shop sells there. */
const closedPlace = (
  { sellsTo }: CompiledBook,
  { country, subdivision }: AddressValues,
  asked: Asked,
): string | null => {
  if (asked === 'name' || subdivision === '') return null;
  return sellsThere(sellsTo, { country, subdivision, code: undefined }) ? null : subdivision;
};

/** What an order is placed with. */
interface Placing {
  request: QuoteRequest | null;
  chosen: Choice | null;
  slot: TimeSlot | null;
  /** The moment that a held time was picked at, as of which the order is quoted. */
  asOf: string | null;
  payment: PaymentOption | null;
  answers: CustomerView['asked']['answers'];
}

/** Places the order that was typed, and goes to it; what is wrong with it is handed on. */
const usePlacing = (onFaults: (faults: readonly Fault[]) => void) => {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const orders = useAppSelector(selectPastOrders);
  // What is placed is the merchant's, in the book's own language.
  const compiled = useAppSelector(selectServedCompiled);
  const { language } = useCustomerWords();
  return (typed: CheckoutValues, { request, chosen, slot, asOf, payment, answers }: Placing): void => {
    if (!request || !chosen) return;
    const placed = placeOrder(compiled, {
      request: { ...request, placedAt: asOf ?? momentNow() },
      at: momentNow(),
      choiceId: chosen.id,
      shown: chosen.charge,
      number: nextNumber(orders),
      recipient: typed.ship.name.trim(),
      answers,
      ...(slot ? { slot: { start: slot.start, end: slot.end } } : {}),
      ...(payment ? { payment: payment.id } : {}),
      ...billingOf(typed),
      ...contactOf(typed),
      ...customerLanguage(compiled, language, chosen),
    });
    if (!placed.ok) return onFaults(placed.faults);
    dispatch(checkoutDone());
    dispatch(orderPlaced(placed.value));
    router.navigate({ pathname: '/shop/order', params: { number: placed.value.number } });
    dispatch(holdsEnded());
    dispatch(emptied());
  };
};

/** What is offered to an order, and what of it is chosen. */
const useOffered = (
  compiled: CompiledBook,
  request: QuoteRequest | null,
  asked: Asked,
  wanted: string | null,
) => {
  const view = useAppSelector((state) => selectCustomerView(state, request));
  useCarriers(view?.questions ?? NO_QUESTIONS, compiled);
  const choices = offeredOf(view, asked);
  const chosen = choices.find(({ id }) => id === wanted) ?? choices[0] ?? null;
  const days = useMemo(
    () => (chosen?.slots && request ? slotDays(compiled, chosen.of, request) : NO_DAYS),
    [compiled, chosen, request],
  );
  return { view, choices, chosen, days };
};

/** The ways to pay that fit a choice, and the one taken. */
const usePayment = (chosen: Choice | null): Pick<Checkout, 'payments' | 'payment' | 'pay'> => {
  const { payments: all } = useAppSelector(selectShopBook);
  const [paying, setPaying] = useState<string | null>(null);
  const payments = all.filter(({ id }) => chosen?.payments.includes(id));
  return {
    payments,
    payment: payments.find(({ id }) => id === paying) ?? payments[0] ?? null,
    pay: setPaying,
  };
};

/** The checkout: an address that is typed, what is offered there, what is chosen, and the order placed. */
export const useCheckout = (): Checkout => {
  const book = useAppSelector(selectShopBook);
  const compiled = useAppSelector(selectShopCompiled);
  const basket = useAppSelector((state) => state.basket);
  const orders = useAppSelector(selectPastOrders);
  const holds = useAppSelector((state) => state.holds);
  const taken = useMemo(() => slotsTakenOrHeld(orders, holds), [orders, holds]);
  const [wanted, setWanted] = useState<string | null>(null);
  const moment = checkoutMoment(holds.mine, wanted, useNow());
  const left = useAppSelector((state) => state.checkoutDraft);
  const [code, setCode] = useState(left?.code ?? '');
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const travels = basket.some(({ sku }) => compiled.goods.get(sku)?.fulfilment === 'physical');
  const only = onlyHow(waysOfGetting(compiled));
  const home = book.locations[0]?.address.country ?? '';
  const { form, values, asked, missing } = useCheckoutForm({ home, travels, only, code });
  const { ship } = values;
  const request = useCheckoutRequest({ compiled, ship, asked, wanted, moment, taken, code });
  const { view, choices, chosen, days } = useOffered(compiled, request, asked, wanted);
  const held = useHeldSlots();
  const { slot, asOf, released } = held.look(WHOLE, chosen ? timedId(chosen.of) : null, days);
  const parts = useParts(view, form, held);
  const paying = usePayment(chosen);
  const place = usePlacing(setFaults);
  const { payment } = paying;
  const answers = view?.asked.answers ?? [];
  return {
    ...{ form, values, view, chosen, days, slot, released, code, setCode, ...paying, parts, faults, missing },
    ...{ asked, choices, choose: setWanted, closed: closedPlace(compiled, ship, asked) },
    pick: (picked) => {
      if (chosen) held.pick(WHOLE, timedId(chosen.of), picked, moment);
    },
    choosesHow: travels && only === null,
    sellsTo: (country) =>
      sellsToPartOf(compiled.sellsTo, country) || (!travels && book.store.sellsTo.digitalEverywhere === true),
    place: () =>
      void form.handleSubmit((typed) => place(typed, { request, chosen, slot, asOf, payment, answers }))(),
  };
};
