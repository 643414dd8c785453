import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { promiseSentence } from '../../../core/order/promise-sentence.ts';
import { Check } from '../../parts/check.tsx';
import { FormField } from '../../fields/form-field.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { useToday } from '../../time/use-today.ts';
import { useWidth } from '../../parts/use-width.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import type { Sums } from '../../state/customer-view.ts';
import { selectShopBook } from '../../state/shop-language.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { fieldText } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { subdivisionName } from '../../places/places.ts';
import { AddressFields } from './address-fields.tsx';
import { codesSubdivision, lackingPlace } from './address-form.ts';
import { ChoiceList, NothingOffered } from './choice-list.tsx';
import { orderFault } from './order-fault.ts';
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
  const { say, region } = useCustomerWords();
  const named = codesSubdivision(values.ship);
  return (
    <>
      {named ? (
        <TextAction
          label={say('checkout.use-region', { region: region(named, subdivisionName(named)) })}
          style={{ alignSelf: 'flex-start', marginLeft: -4 }}
          onPress={() => {
            form.setValue('ship.subdivision', named);
            void form.trigger('ship.postalCode');
          }}
        />
      ) : null}
      {closed ? (
        <Text style={style.fault} role="alert">
          {say('checkout.region-closed', { region: region(closed, subdivisionName(closed)) })}
        </Text>
      ) : null}
    </>
  );
};

/** What a browser fills in, and the keys that a phone shows. */
const REACHED_BY = {
  email: { autoComplete: 'email', inputMode: 'email' },
  phone: { autoComplete: 'tel', inputMode: 'tel' },
} as const;

/** How the customer is reached: an e-mail address or a phone number. */
const Contact = ({ checkout: { form, place } }: { checkout: Checkout }) => {
  const style = useStyles(styles);
  const { say } = useCustomerWords();
  return (
    <View role="group" aria-label={say('checkout.reach')}>
      <Text style={style.heading} role="heading" aria-level={2}>
        {say('checkout.reach')}
      </Text>
      <Text style={style.quiet}>{say('checkout.one-is-enough')}</Text>
      <View style={style.contact}>
        {(['email', 'phone'] as const).map((name) => (
          <View key={name} style={style.contactField}>
            <FormField
              control={form.control}
              name={name}
              label={say(`checkout.${name}`)}
              {...REACHED_BY[name]}
              onSubmit={place}
              style={{ height: 44 }}
              contentStyle={fieldText}
            />
          </View>
        ))}
      </View>
    </View>
  );
};

const Addresses = ({ checkout }: { checkout: Checkout }) => {
  const { form, values, place, asked, choosesHow, sellsTo } = checkout;
  const { say } = useCustomerWords();
  const style = useStyles(styles);
  const moved = (part: 'ship' | 'bill') => (field: 'country' | 'subdivision') => {
    if (field === 'country') form.setValue(`${part}.subdivision`, '');
    if (form.getValues(`${part}.postalCode`) !== '') void form.trigger(`${part}.postalCode`);
  };
  return (
    <View>
      {choosesHow ? (
        <View style={style.how}>
          <Segments
            hideLabel
            label={say('checkout.how')}
            value={values.how}
            onChange={(how) => form.setValue('how', how)}
            options={[
              { value: 'send', label: say('checkout.send') },
              { value: 'collect', label: say('checkout.collect') },
            ]}
          />
        </View>
      ) : null}
      <Text style={style.heading} role="heading" aria-level={2}>
        {say(asked === 'whole' ? 'checkout.where' : 'checkout.who')}
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
          label={say('checkout.same-bill')}
          on={values.billSame}
          onPress={() => form.setValue('billSame', !values.billSame)}
        />
      ) : null}
      {values.billSame || asked !== 'whole' ? null : (
        <View role="group" aria-label={say('checkout.bill')}>
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
  const { view, chosen, choose, code, setCode, days, slot, pick, released, choices, asked, values } =
    checkout;
  const collects = asked === 'name';
  const parts = collects ? null : checkout.parts;
  const style = useStyles(styles);
  const words = useCustomerWords();
  const { say } = words;
  const book = useAppSelector(selectShopBook);
  const today = useToday(book.store.timeZone);
  const lacking = view === null ? lackingPlace(values.ship, asked) : [];
  const promise = view && !collects ? promiseSentence(view.quote, book, today, words) : '';
  return (
    <View>
      <Text style={style.heading} role="heading" aria-level={2}>
        {say(collects ? 'checkout.where-collected' : 'checkout.options')}
      </Text>
      {view === null ? (
        <Text style={style.quiet} aria-live="polite">
          {lacking.length === 0
            ? say('checkout.address-first')
            : say('checkout.address-lacks', { fields: lacking.map((label) => say(label)).join(', ') })}
        </Text>
      ) : choices.length === 0 && (collects || view.asked.pending.length === 0) ? (
        <>
          {view.partsWait && !collects ? (
            <Text style={style.quiet}>{say('checkout.asked-in-parts')}</Text>
          ) : null}
          {parts ? <PartsOffer checkout={parts} /> : null}
          <NothingOffered
            view={view}
            collects={collects}
            title={say(parts ? 'checkout.why-not-whole' : 'checkout.cannot-take')}
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
            chosen={chosen?.id ?? null}
            onChoose={choose}
            picker={<SlotPicker days={days} slot={slot} released={released} onPick={pick} />}
          />
        </>
      )}
      <View style={style.code}>
        <TextLine label={say('checkout.code')} value={code} onChange={setCode} />
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
  const { say } = useCustomerWords();
  return (
    <View>
      <Text style={style.heading} role="heading" aria-level={2}>
        {say('checkout.total')}
      </Text>
      {sums ? (
        <Summary sums={sums} name={name} />
      ) : (
        <Text style={style.quiet}>{say('checkout.not-chosen')}</Text>
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
  const { say } = useCustomerWords();
  const { view, chosen, payments, faults, missing, place, asked } = checkout;
  const parts = asked === 'name' ? null : checkout.parts;
  const cannotPay =
    useAppSelector(selectShopBook).payments.length > 0 && chosen !== null && payments.length === 0;
  // An order's number follows on all that were given.
  const isRead = useAppSelector(({ storage }) => storage.ordersRead);
  const waiting = isRead ? [] : [say('checkout.earlier-orders')];
  return parts ? (
    <Order
      sums={parts.sums}
      name={say('checkout.in-parts-charge', { count: parts.parts.length })}
      faults={[...waiting, ...missing, ...parts.faults]}
      button={say('checkout.place-parts', { count: parts.parts.length })}
      disabled={parts.cannotPay || waiting.length > 0}
      onPlace={parts.place}
    />
  ) : (
    <Order
      sums={chosen ? view?.sums.get(chosen.id) : undefined}
      name={chosen?.name ?? ''}
      faults={[...waiting, ...missing, ...faults.map((fault) => orderFault(fault, say))]}
      button={say('checkout.place')}
      disabled={(view !== null && !chosen) || cannotPay || waiting.length > 0}
      onPlace={place}
    />
  );
};

/** The checkout: address, ways, sums and the order itself. */
export const CheckoutPage = () => {
  const style = useStyles(styles);
  const { say } = useCustomerWords();
  const isNarrow = useWidth() === 'phone';
  const isEmpty = useAppSelector((state) => state.basket.length === 0);
  const checkout = useCheckout();
  if (isEmpty) {
    return <EmptyBasket title={say('checkout.title')} text={say('checkout.empty')} />;
  }
  return (
    <ShopPage title={say('checkout.title')}>
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
