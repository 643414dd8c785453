import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useMemo, useRef } from 'react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import type { Language } from '../../../core/model/language.ts';
import type { WaysOfGetting } from '../../../core/order/ways-of-getting.ts';
import { normaliseCode } from '../../../core/place/postal.ts';
import { subdivisionOfCode } from '../../../core/place/subdivision-of-code.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { isWholeCode } from '../../places/whole-code.ts';
import { checkoutLeft } from '../../state/checkout-draft.ts';
import { placeTyped, type CustomerPlace } from '../../state/customer-place.ts';
import { useAppSelector, useAppStore } from '../../state/store.ts';
import { askedFor, checkoutSchema, EMPTY_ADDRESS, type Asked, type CheckoutValues } from './address-form.ts';

const NONE_MISSING: readonly string[] = [];

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

/** How an order is got where the shop has one way alone; null where the customer chooses. */
export const onlyHow = ({ sent, collected }: WaysOfGetting): CheckoutValues['how'] | null => {
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

/** Every message of a form's faults, in the order of its fields. */
const messagesOf = (errors: object): string[] =>
  Object.values(errors).flatMap((one: unknown) => {
    if (typeof one !== 'object' || one === null) return [];
    return 'message' in one && typeof one.message === 'string' ? [one.message] : messagesOf(one);
  });

/** What the form starts with, and what it asks for. */
interface CheckoutFormOptions {
  /** The country that is chosen first. */
  home: string;
  /** Whether something in the basket is sent or collected at all. */
  travels: boolean;
  /** The one way in which the shop's orders are got, if there is one alone. */
  only: CheckoutValues['how'] | null;
  /** The discount code that was typed. */
  code: string;
}

interface CheckoutForm {
  form: UseFormReturn<CheckoutValues>;
  values: CheckoutValues;
  asked: Asked;
  /** What it still lacks, once the order was to be placed. */
  missing: readonly string[];
}

/** The form of the checkout: as it was left, with its region out of the postal code and its faults in the language. */
export const useCheckoutForm = ({ home, travels, only, code }: CheckoutFormOptions): CheckoutForm => {
  const words = useCustomerWords();
  const left = useAppSelector((state) => state.checkoutDraft);
  const known = useAppSelector((state) => state.customerPlace);
  const form = useForm<CheckoutValues>({
    resolver: useMemo(() => zodResolver(checkoutSchema(travels, words)), [travels, words]),
    mode: 'onTouched',
    defaultValues: checkoutAt(known, left?.values as CheckoutValues | undefined, home, only),
  });
  const { errors, isSubmitted } = form.formState;
  const values = useWatch({ control: form.control }) as CheckoutValues;
  useKeptWhenLeft(form, code);
  useRegionOfCode(form, values);
  useFaultsInLanguage(form, words.language);
  return {
    ...{ form, values, asked: askedFor(values, travels) },
    // Each is gone from beside the button as soon as its field is right.
    missing: isSubmitted ? messagesOf(errors) : NONE_MISSING,
  };
};
