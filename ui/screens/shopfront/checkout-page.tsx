import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { faultSentence } from '../../../core/words/fault-sentence.ts';
import { promiseSentence } from '../../../core/order/promise-sentence.ts';
import { Check } from '../../parts/check.tsx';
import { FormField } from '../../fields/form-field.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { useToday } from '../../parts/use-today.ts';
import { useWidth } from '../../parts/use-width.ts';
import type { Sums } from '../../state/customer-view.ts';
import { selectServedBook, selectServedDisplayFormat } from '../../state/served.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { SANS } from '../../theme/tokens.ts';
import { subdivisionName } from '../../places/places.ts';
import { AddressFields } from './address-fields.tsx';
import { codesSubdivision } from './address-form.ts';
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
  how: { maxWidth: 360, marginTop: 4 },
  contact: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, marginTop: 4, marginBottom: 8 } as const,
  contactField: { flexGrow: 1, flexBasis: 150 },
  promise: { ...shopStyles(inks).name, marginBottom: 12 },
});

/** The region that the code names, offered where another is chosen; a region that is closed, said at once. */
const PlaceFaults = ({ checkout: { form, values, closed } }: { checkout: Checkout }) => {
  const style = useStyles(styles);
  const named = codesSubdivision(values.ship);
  return (
    <>
      {named ? (
        <TextAction
          label={`Use ${subdivisionName(named)}`}
          style={{ alignSelf: 'flex-start', marginLeft: -4 }}
          onPress={() => {
            form.setValue('ship.subdivision', named);
            void form.trigger('ship.postalCode');
          }}
        />
      ) : null}
      {closed ? (
        <Text style={style.fault} role="alert">
          We do not sell to {subdivisionName(closed)}.
        </Text>
      ) : null}
    </>
  );
};

const CONTENT = { fontFamily: SANS, fontSize: 15, paddingHorizontal: 8 };

/** How the customer is reached: an e-mail address or a phone number. */
const Contact = ({ checkout: { form, place } }: { checkout: Checkout }) => {
  const style = useStyles(styles);
  return (
    <View role="group" aria-label="How we reach you">
      <Text style={style.heading} role="heading" aria-level={2}>
        How we reach you
      </Text>
      <Text style={style.quiet}>An e-mail address or a phone number; one is enough.</Text>
      <View style={style.contact}>
        {(
          [
            ['email', 'E-mail'],
            ['phone', 'Phone'],
          ] as const
        ).map(([name, label]) => (
          <View key={name} style={style.contactField}>
            <FormField
              control={form.control}
              name={name}
              label={label}
              onSubmit={place}
              style={{ height: 44 }}
              contentStyle={CONTENT}
            />
          </View>
        ))}
      </View>
    </View>
  );
};

const Addresses = ({ checkout }: { checkout: Checkout }) => {
  const { form, values, place, asked, canCollect, sellsTo } = checkout;
  const style = useStyles(styles);
  const moved = (part: 'ship' | 'bill') => (field: 'country' | 'subdivision') => {
    if (field === 'country') form.setValue(`${part}.subdivision`, '');
    if (form.getValues(`${part}.postalCode`) !== '') void form.trigger(`${part}.postalCode`);
  };
  return (
    <View>
      {canCollect ? (
        <View style={style.how}>
          <Segments
            hideLabel
            label="How you get it"
            value={values.how}
            onChange={(how) => form.setValue('how', how)}
            options={[
              { value: 'send', label: 'Send it to me' },
              { value: 'collect', label: 'I collect it' },
            ]}
          />
        </View>
      ) : null}
      <Text style={style.heading} role="heading" aria-level={2}>
        {asked === 'whole' ? 'Where to' : 'Who you are'}
      </Text>
      <AddressFields
        control={form.control}
        part="ship"
        country={values.ship.country}
        onPlace={moved('ship')}
        onSubmit={place}
        asked={asked}
        sellsTo={sellsTo}
      />
      <PlaceFaults checkout={checkout} />
      <Contact checkout={checkout} />
      {asked === 'whole' ? (
        <Check
          label="The bill goes to the same address"
          on={values.billSame}
          onPress={() => form.setValue('billSame', !values.billSame)}
        />
      ) : null}
      {values.billSame || asked !== 'whole' ? null : (
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
  const { view, chosen, choose, code, setCode, days, slot, pick, released, choices, asked } = checkout;
  const collects = asked === 'name';
  const parts = collects ? null : checkout.parts;
  const style = useStyles(styles);
  const display = useAppSelector(selectServedDisplayFormat);
  const { decimals } = display;
  const book = useAppSelector(selectServedBook);
  const today = useToday(book.store.timeZone);
  const promise = view && !collects ? promiseSentence(view.quote, book, today, display) : '';
  return (
    <View>
      <Text style={style.heading} role="heading" aria-level={2}>
        {collects ? 'Where you collect it' : 'Delivery options'}
      </Text>
      {view === null ? (
        <Text style={style.quiet}>Shown as soon as the address says where.</Text>
      ) : choices.length === 0 && (collects || view.asked.pending.length === 0) ? (
        <>
          {view.partsWait && !collects ? (
            <Text style={style.quiet}>Carriers are asked what it would cost in parts …</Text>
          ) : null}
          {parts ? <PartsOffer checkout={parts} /> : null}
          <NothingOffered
            reasons={collects ? view.collectObstacles : view.obstacles}
            title={parts ? 'Why no one way takes it' : 'We cannot take this order as it is.'}
          />
        </>
      ) : (
        <>
          {promise === '' ? null : (
            <Text style={style.promise} aria-live="polite">
              {promise}
            </Text>
          )}
          <ChoiceList
            view={view}
            choices={choices}
            collects={collects}
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
  const { decimals } = useAppSelector(selectServedDisplayFormat);
  return (
    <View>
      <Text style={style.heading} role="heading" aria-level={2}>
        Order total
      </Text>
      {sums ? (
        <Summary sums={sums} name={name} decimals={decimals} />
      ) : (
        <Text style={style.quiet}>Worked out once the delivery is chosen.</Text>
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
  const { view, chosen, payments, faults, missing, place, asked } = checkout;
  const parts = asked === 'name' ? null : checkout.parts;
  const cannotPay =
    useAppSelector(selectServedBook).payments.length > 0 && chosen !== null && payments.length === 0;
  // An order's number follows on all that were given.
  const isRead = useAppSelector(({ storage }) => storage.ordersRead);
  const waiting = isRead ? [] : ['One moment: earlier orders are still loading.'];
  return parts ? (
    <Order
      sums={parts.sums}
      name={`Getting it to you, in ${parts.parts.length} parts`}
      faults={[...waiting, ...missing, ...parts.faults]}
      button={`Order in ${parts.parts.length} parts`}
      disabled={parts.cannotPay || waiting.length > 0}
      onPlace={parts.place}
    />
  ) : (
    <Order
      sums={chosen ? view?.sums.get(chosen.id) : undefined}
      name={chosen?.name ?? ''}
      faults={[...waiting, ...missing, ...faults.map((fault) => faultSentence(fault))]}
      button="Place the order"
      disabled={(view !== null && !chosen) || cannotPay || waiting.length > 0}
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
