import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import type { Language } from '../../../core/model/language.ts';
import type { Fault } from '../../../core/model/fault.ts';
import type { Destination } from '../../../core/model/place.ts';
import type { Choice } from '../../../core/model/quote.ts';
import type { QuoteRequest } from '../../../core/model/request.ts';
import type { PaymentOption } from '../../../core/model/tax.ts';
import { sellsThere, sellsToPartOf } from '../../../core/place/zone-index.ts';
import { normaliseCode } from '../../../core/place/postal.ts';
import { subdivisionOfCode } from '../../../core/place/subdivision-of-code.ts';
import type { CompiledBook } from '../../../core/quote/compile.ts';
import { waysOfGetting, type WaysOfGetting } from '../../../core/order/ways-of-getting.ts';
import { nextNumber, placeOrder } from '../../../core/order/place-order.ts';
import { timedId } from '../../../core/time/slots-taken.ts';
import { slotDays, type SlotDay } from '../../../core/quote/slot-days.ts';
import type { TimeSlot } from '../../../core/time/times.ts';
import { useCarriers } from '../../carriers/use-carriers.ts';
import { useNow } from '../../time/use-now.ts';
import { isWholeCode } from '../../places/whole-code.ts';
import { located, useGazetteer } from '../../places/use-gazetteer.ts';
import { emptied } from '../../state/basket.ts';
import { placeTyped, type CustomerPlace } from '../../state/customer-place.ts';
import { checkoutDone, checkoutLeft } from '../../state/checkout-draft.ts';
import { selectCustomerView, type CustomerView } from '../../state/customer-view.ts';
import { holdsEnded, slotsTakenOrHeld } from '../../state/holds.ts';
import { orderPlaced } from '../../state/orders.ts';
import { selectPastOrders } from '../../state/selectors.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { selectServedCompiled } from '../../state/served.ts';
import { selectShopBook, selectShopCompiled } from '../../state/shop-language.ts';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store.ts';
import { checkoutMoment, useHeldSlots, WHOLE } from './held-slots.ts';
import { customerLanguage, shopperOf } from './shopper.ts';
import { useParts, type PartsCheckout } from './use-parts.ts';
import {
  askedFor,
  billingOf,
  checkoutSchema,
  contactOf,
  destinationOf,
  EMPTY_ADDRESS,
  type AddressValues,
  type Asked,
  type CheckoutValues,
} from './address-form.ts';
import { momentNow } from '../../time/now.ts';

const NO_DAYS: readonly SlotDay[] = [];
const NONE_MISSING: readonly string[] = [];
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

/** A whole postal code fills in the region that it lies in, where none is chosen. */
const useRegionOfCode = (form: UseFormReturn<CheckoutValues>, { ship }: CheckoutValues): void => {
  const { country, postalCode, subdivision } = ship;
  useEffect(() => {
    if (subdivision !== '' || !isWholeCode(country)(postalCode)) return;
    const named = subdivisionOfCode(country, normaliseCode(country, postalCode));
    if (named !== undefined) form.setValue('ship.subdivision', named);
  }, [form, country, postalCode, subdivision]);
};

/** What is wrong with the form is said anew where the customer changes the language. */
const useFaultsInLanguage = (form: UseFormReturn<CheckoutValues>, language: Language): void => {
  useEffect(() => {
    const wrong = Object.keys(form.formState.errors) as (keyof CheckoutValues)[];
    if (wrong.length > 0) void form.trigger(wrong);
  }, [form, language]);
};

/** The place that is closed although its country is open, as far as it is typed; null where the shop sells there. */
const closedPlace = (
  { sellsTo }: CompiledBook,
  { country, subdivision }: AddressValues,
  asked: Asked,
): string | null => {
  if (asked === 'name' || subdivision === '') return null;
  return sellsThere(sellsTo, { country, subdivision, code: undefined }) ? null : subdivision;
};

/** How an order is got where the shop has one way alone; null where the customer chooses. */
const onlyHow = ({ sent, collected }: WaysOfGetting): CheckoutValues['how'] | null => {
  if (sent && collected) return null;
  return collected ? 'collect' : 'send';
};

/** The form as it was left, or empty, at the place that was typed last. */
const checkoutAt = (
  known: CustomerPlace | null,
  before: CheckoutValues | undefined,
  home: string,
  only: CheckoutValues['how'] | null,
): CheckoutValues => {
  const left = before && { ...before, how: only ?? before.how };
  const { country, postalCode } = known ?? left?.ship ?? { country: home, postalCode: '' };
  const where = { country, ...EMPTY_ADDRESS, postalCode };
  if (!left)
    return {
      how: only ?? 'send',
      email: '',
      phone: '',
      ship: where,
      billSame: true,
      bill: { ...where, postalCode: '' },
    };
  const isSame = left.ship.country === country && left.ship.postalCode === postalCode;
  return isSame ? left : { ...left, ship: { ...left.ship, country, postalCode, subdivision: '' } };
};

/** What was typed is kept when the customer looks at the basket again, until the order is placed. */
const useKeptWhenLeft = (form: UseFormReturn<CheckoutValues>, code: string): void => {
  const store = useAppStore();
  const typed = useRef({ form, code });
  typed.current = { form, code };
  useEffect(
    () => () => {
      const { basket } = store.getState();
      const values = typed.current.form.getValues();
      const { country, postalCode } = values.ship;
      if (postalCode !== '') store.dispatch(placeTyped({ country, postalCode }));
      if (basket.length > 0) store.dispatch(checkoutLeft({ values, code: typed.current.code }));
    },
    [store],
  );
};

/** Where goods change hands that are collected: the location of the pickup point that is chosen, or of the first. */
const handedOverAt = ({ pickups }: CompiledBook, wanted: string | null): Destination | null => {
  const active = pickups.filter(({ point }) => point.active);
  const pickup = active.find(({ point }) => point.id === wanted) ?? active[0];
  if (!pickup) return null;
  const { country, subdivision, point } = pickup.location.address;
  return { country, ...(subdivision ? { subdivision } : {}), ...(point ? { point } : {}) };
};

/** The choices for someone who collects are the pickup points alone. */
const offeredOf = (view: CustomerView | null, asked: Asked): readonly Choice[] =>
  (view?.quote.choices ?? []).filter(({ kind }) => asked !== 'name' || kind === 'pickup');

/** Every message of a form's faults, in the order of its fields. */
const messagesOf = (errors: object): string[] =>
  Object.values(errors).flatMap((one: unknown) => {
    if (typeof one !== 'object' || one === null) return [];
    return 'message' in one && typeof one.message === 'string' ? [one.message] : messagesOf(one);
  });

/** The checkout: an address that is typed, what is offered there, what is chosen, and the order placed. */
export const useCheckout = (): Checkout => {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const book = useAppSelector(selectShopBook);
  const compiled = useAppSelector(selectShopCompiled);
  // What is placed is the merchant's, in the book's own language.
  const ownCompiled = useAppSelector(selectServedCompiled);
  const words = useCustomerWords();
  const { language } = words;
  const basket = useAppSelector((state) => state.basket);
  const orders = useAppSelector(selectPastOrders);
  const holds = useAppSelector((state) => state.holds);
  const taken = useMemo(() => slotsTakenOrHeld(orders, holds), [orders, holds]);
  const home = book.locations[0]?.address.country ?? '';
  const [wanted, setWanted] = useState<string | null>(null);
  const moment = checkoutMoment(holds.mine, wanted, useNow());
  const left = useAppSelector((state) => state.checkoutDraft);
  const known = useAppSelector((state) => state.customerPlace);
  const [code, setCode] = useState(left?.code ?? '');
  const [paying, setPaying] = useState<string | null>(null);
  const customer = useAppSelector((state) => state.session.seenAs);
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const travels = basket.some(({ sku }) => compiled.goods.get(sku)?.fulfilment === 'physical');
  const only = onlyHow(waysOfGetting(compiled));
  const form = useForm<CheckoutValues>({
    resolver: useMemo(() => zodResolver(checkoutSchema(travels, words)), [travels, words]),
    mode: 'onTouched',
    defaultValues: checkoutAt(known, left?.values as CheckoutValues | undefined, home, only),
  });
  const { errors, isSubmitted } = form.formState;
  const values = useWatch({ control: form.control }) as CheckoutValues;
  useKeptWhenLeft(form, code);
  useRegionOfCode(form, values);
  useFaultsInLanguage(form, language);
  const asked = askedFor(values, travels);
  const gazetteer = useGazetteer(values.ship.country);
  const where = JSON.stringify(
    asked === 'name' ? handedOverAt(compiled, wanted) : destinationOf(values.ship, asked),
  );
  const request = useMemo((): QuoteRequest | null => {
    const typed = JSON.parse(where) as QuoteRequest['destination'];
    const destination = typed && gazetteer && !typed.point ? located(typed) : typed;
    const lines = basket.filter(({ sku }) => compiled.goods.has(sku));
    return destination && lines.length > 0
      ? { destination, lines, placedAt: moment, slotsTaken: taken, ...shopperOf(customer, code) }
      : null;
  }, [where, gazetteer, basket, compiled, moment, taken, customer, code]);
  const view = useAppSelector((state) => selectCustomerView(state, request));
  useCarriers(view?.questions ?? NO_QUESTIONS, compiled);
  const choices = offeredOf(view, asked);
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
    const placed = placeOrder(ownCompiled, {
      request: { ...request, placedAt: asOf ?? momentNow(), slotsTaken: taken },
      at: momentNow(),
      choiceId: chosen.id,
      shown: chosen.charge,
      number: nextNumber(orders),
      recipient: typed.ship.name.trim(),
      answers: view?.asked.answers ?? [],
      ...(slot ? { slot: { start: slot.start, end: slot.end } } : {}),
      ...(payment ? { payment: payment.id } : {}),
      ...billingOf(typed),
      ...contactOf(typed),
      ...customerLanguage(ownCompiled, language, chosen),
    });
    if (!placed.ok) {
      setFaults(placed.faults);
      return;
    }
    dispatch(checkoutDone());
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
    // Each is gone from beside the button as soon as its field is right.
    missing: isSubmitted ? messagesOf(errors) : NONE_MISSING,
    asked,
    choices,
    closed: closedPlace(compiled, values.ship, asked),
    choosesHow: travels && only === null,
    sellsTo: (country) =>
      sellsToPartOf(compiled.sellsTo, country) || (!travels && book.store.sellsTo.digitalEverywhere === true),
    place: () => void place(),
  };
};
