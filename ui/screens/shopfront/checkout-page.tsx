import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { faultSentence } from '../../../core/words/fault-sentence.ts';
import { promiseSentence } from '../../../core/words/promise-sentence.ts';
import { Check } from '../../parts/check.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { useToday } from '../../parts/use-today.ts';
import { useWidth } from '../../parts/use-width.ts';
import type { Sums } from '../../state/customer-view.ts';
import { selectServedBook, selectServedSpeech } from '../../state/served.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { AddressFields } from './address-fields.tsx';
import { ChoiceList, NothingOffered } from './choice-list.tsx';
import { Paying } from './paying.tsx';
import { EmptyBasket, ShopPage } from './shop-page.tsx';
import { shopStyles } from './shop-styles.ts';
import { PartsOffer } from './parts-offer.tsx';
import { SlotPicker } from './slot-picker.tsx';
import { Summary } from './summary.tsx';
import { useCheckout, type Checkout } from './use-checkout.ts';

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  sides: { flexDirection: 'row', gap: 48, alignItems: 'flex-start' } as const,
  form: { flex: 1 },
  // Stays in sight beside a long list of ways; React Native has no word for it.
  aside: { width: 320, position: 'sticky' as 'relative', top: 24 },
  place: { marginTop: 16 },
  code: { maxWidth: 260, marginTop: 12 },
  promise: { ...shopStyles(inks).name, marginBottom: 12 },
});

const Addresses = ({ checkout: { form, values, place } }: { checkout: Checkout }) => {
  const style = useStyles(styles);
  const moved = (part: 'ship' | 'bill') => (field: 'country' | 'subdivision') => {
    if (field === 'country') form.setValue(`${part}.subdivision`, '');
    if (form.getValues(`${part}.postalCode`) !== '') void form.trigger(`${part}.postalCode`);
  };
  return (
    <View>
      <Text style={style.heading} role="heading" aria-level={2}>
        Where to
      </Text>
      <AddressFields
        control={form.control}
        part="ship"
        country={values.ship.country}
        onPlace={moved('ship')}
        onSubmit={place}
      />
      <Check
        label="The bill goes to the same address"
        on={values.billSame}
        onPress={() => form.setValue('billSame', !values.billSame)}
      />
      {values.billSame ? null : (
        <View role="group" aria-label="Billing address">
          <AddressFields
            control={form.control}
            part="bill"
            country={values.bill.country}
            onPlace={moved('bill')}
            onSubmit={place}
          />
        </View>
      )}
    </View>
  );
};

const Ways = ({ checkout }: { checkout: Checkout }) => {
  const { view, chosen, choose, code, setCode, days, slot, pick, released, parts } = checkout;
  const style = useStyles(styles);
  const speech = useAppSelector(selectServedSpeech);
  const { decimals } = speech;
  const book = useAppSelector(selectServedBook);
  const today = useToday(book.store.timeZone);
  const promise = view ? promiseSentence(view.quote, book, today, speech) : '';
  return (
    <View>
      <Text style={style.heading} role="heading" aria-level={2}>
        How it gets to you
      </Text>
      {view === null ? (
        <Text style={style.quiet}>Shown as soon as the address says where.</Text>
      ) : view.quote.choices.length === 0 && view.asked.pending.length === 0 ? (
        <>
          {view.partsWait ? (
            <Text style={style.quiet}>Carriers are asked what it would cost in parts …</Text>
          ) : null}
          {parts ? <PartsOffer checkout={parts} /> : null}
          <NothingOffered
            view={view}
            title={parts ? 'Why no one way takes it' : 'We cannot take this order as it is.'}
          />
        </>
      ) : (
        <>
          <Text style={style.promise} aria-live="polite">
            {promise}
          </Text>
          <ChoiceList
            view={view}
            decimals={decimals}
            chosen={chosen?.id ?? null}
            onChoose={choose}
            picker={<SlotPicker days={days} slot={slot} released={released} onPick={pick} />}
          />
        </>
      )}
      <View style={style.code}>
        <TextLine label="A code, if you have one" value={code} onChange={setCode} />
      </View>
    </View>
  );
};

interface OrderProps {
  sums: Sums | undefined;
  /** What the charge is for. */
  name: string;
  faults: readonly string[];
  button: string;
  disabled: boolean;
  onPlace: () => void;
}

const Order = ({ sums, name, faults, button, disabled, onPlace }: OrderProps) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectServedSpeech);
  const { currency } = useAppSelector(selectServedBook).store;
  return (
    <View>
      <Text style={style.heading} role="heading" aria-level={2}>
        What it comes to
      </Text>
      {sums ? (
        <Summary sums={sums} name={name} currency={currency} decimals={decimals} />
      ) : (
        <Text style={style.quiet}>Worked out once it is known how it gets to you.</Text>
      )}
      {faults.map((text) => (
        <Text key={text} style={style.fault} role="alert">
          {text}
        </Text>
      ))}
      <Button mode="contained" style={style.place} disabled={disabled} onPress={onPlace}>
        {button}
      </Button>
    </View>
  );
};

/** The order as a whole, or in its parts. */
const Ordering = ({ checkout }: { checkout: Checkout }) => {
  const { view, chosen, parts, payments, faults, place } = checkout;
  const cannotPay =
    useAppSelector(selectServedBook).payments.length > 0 && chosen !== null && payments.length === 0;
  return parts ? (
    <Order
      sums={parts.sums}
      name={`Getting it to you, in ${parts.parts.length} parts`}
      faults={parts.faults}
      button={`Order in ${parts.parts.length} parts`}
      disabled={parts.cannotPay}
      onPlace={parts.place}
    />
  ) : (
    <Order
      sums={chosen ? view?.sums.get(chosen.id) : undefined}
      name={chosen?.name ?? ''}
      faults={faults.map((fault) => faultSentence(fault))}
      button="Place the order"
      disabled={(view !== null && !chosen) || cannotPay}
      onPlace={place}
    />
  );
};

/** The checkout: address, ways, sums and the order itself. */
export const CheckoutPage = () => {
  const style = useStyles(styles);
  const isNarrow = useWidth() === 'phone';
  const isEmpty = useAppSelector((state) => state.basket.length === 0);
  const checkout = useCheckout();
  if (isEmpty) {
    return <EmptyBasket title="Checkout" text="The basket is empty, so there is nothing to order." />;
  }
  return (
    <ShopPage title="Checkout">
      <View style={isNarrow ? null : style.sides}>
        <View style={isNarrow ? null : style.form}>
          <Addresses checkout={checkout} />
          <Ways checkout={checkout} />
          <Paying checkout={checkout} />
        </View>
        <View style={isNarrow ? null : style.aside}>
          <Ordering checkout={checkout} />
        </View>
      </View>
    </ShopPage>
  );
};
