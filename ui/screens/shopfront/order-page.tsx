import { useLocalSearchParams, useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { PastOrder } from '../../../core/model/order.ts';
import { isTaxWithin } from '../../../core/order/tax-within.ts';
import { nearbyOf } from '../../../core/order/nearby-of.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { saveCalendar } from '../../files/calendar-file.ts';
import { MarkedText } from '../../parts/marked-text.tsx';
import { writtenAddress } from '../../places/written-address.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { useKeepAsTestOrder } from '../../parts/keep-as-test-order.ts';
import { selectShopBook } from '../../state/shop-language.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { ShopPage } from './shop-page.tsx';
import { shopStyles } from './shop-styles.ts';

const Sums = ({ order }: { order: PastOrder }) => {
  const style = useStyles(shopStyles);
  const { say, money, price } = useCustomerWords();
  const { chosen, sums } = order;
  const isWithin = isTaxWithin(order);
  const line = (label: string, amount: number | undefined): [string, number][] =>
    amount === undefined || amount === 0 ? [] : [[label, amount]];
  const lines: [string, number][] = [
    [say('sums.products'), sums?.goods ?? 0],
    [chosen.shownAs ?? chosen.name, chosen.charge],
    ...(isWithin ? [] : line(say('sums.taxes'), sums?.taxes)),
    ...line(say('sums.prepaid'), sums?.prepaid),
  ];
  return (
    <View style={{ maxWidth: 400 }}>
      {lines.map(([label, amount]) => (
        <View key={label} style={style.row}>
          <Text style={style.name}>{label}</Text>
          <Text style={style.figure}>{money(amount)}</Text>
        </View>
      ))}
      <View style={style.row}>
        <Text style={style.strong}>{say('sums.total')}</Text>
        <Text style={style.strong}>{price(sums?.total ?? chosen.total)}</Text>
      </View>
      {isWithin && sums ? (
        <View style={style.row}>
          <Text style={style.quiet}>{say('sums.taxes-within')}</Text>
          <Text style={style.quiet}>{money(sums.taxes)}</Text>
        </View>
      ) : null}
    </View>
  );
};

/** When and where it is to be had, how, and the file for a calendar. */
const Time = ({ order }: { order: PastOrder }) => {
  const style = useStyles(shopStyles);
  const book = useAppSelector(selectShopBook);
  const { say, slot: slotWords } = useCustomerWords();
  const { slot, kind } = order.chosen;
  const name = order.chosen.shownAs ?? order.chosen.name;
  const { pickup, area, location } = nearbyOf(book, order);
  const text = pickup?.instructions ?? area?.instructions ?? '';
  if (kind !== 'delivery' && kind !== 'pickup') return null;
  const where = location
    ? [...(location.address.lines ?? []), location.address.city].filter(Boolean).join(', ')
    : '';
  const title = say('order.calendar-title', { shop: book.store.name, number: order.number, name });
  return (
    <View style={{ gap: 4 }}>
      <Text style={style.heading} role="heading" aria-level={2}>
        {say(kind === 'pickup' ? 'order.collected' : 'order.brought')}
      </Text>
      <Text style={style.name}>{name}</Text>
      {slot ? <Text style={style.strong}>{slotWords(slot)}</Text> : null}
      {!slot && order.promise?.words ? <Text style={style.name}>{order.promise.words}</Text> : null}
      {kind === 'pickup' && location ? (
        <Text style={style.name}>
          {location.name}, {where}
        </Text>
      ) : null}
      {text === '' ? null : <MarkedText text={text} />}
      {slot ? (
        <TextAction
          label={say('order.calendar')}
          style={{ alignSelf: 'flex-start', marginLeft: -4 }}
          onPress={() =>
            void saveCalendar(`order-${order.number}.ics`, {
              ...slot,
              uid: `order-${order.number}@emporos.invalid`,
              title,
              where: kind === 'pickup' ? where : '',
              text,
            })
          }
        />
      ) : null}
    </View>
  );
};

const NONE: string[] = [];

/** The other orders that the basket was split into. */
const Others = ({ numbers }: { numbers: readonly string[] }) => {
  const style = useStyles(shopStyles);
  const router = useRouter();
  const { say } = useCustomerWords();
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, marginBottom: 12 }}>
      <Text style={style.quiet}>{say('order.rest')}</Text>
      {numbers.map((other) => (
        <TextAction
          key={other}
          label={say('order.other', { number: other })}
          onPress={() => router.navigate({ pathname: '/shop/order', params: { number: other } })}
        />
      ))}
    </View>
  );
};

/** How the order is paid, and what there is to know of it. */
const PaidBy = ({ id }: { id: string | undefined }) => {
  const style = useStyles(shopStyles);
  const { say } = useCustomerWords();
  const payment = useAppSelector(selectShopBook).payments.find((one) => one.id === id);
  return payment ? (
    <>
      <Text style={style.heading} role="heading" aria-level={2}>
        {say('pay.title')}
      </Text>
      <Text style={style.name}>{payment.name}</Text>
      {payment.instructions ? <Text style={style.quiet}>{payment.instructions}</Text> : null}
    </>
  ) : null;
};

const Placed = ({ order, others }: { order: PastOrder; others: string[] }) => {
  const style = useStyles(shopStyles);
  const router = useRouter();
  const keep = useKeepAsTestOrder();
  const { say, country } = useCustomerWords();
  const { destination, lines } = order.request;
  return (
    <ShopPage title={say('order.thanks', { number: order.number })}>
      {others.length > 0 ? <Others numbers={others} /> : null}
      {lines.map(({ sku, name, quantity }) => (
        <Text key={sku} style={style.name}>
          {say('order.line', { count: quantity, good: name ?? sku })}
        </Text>
      ))}
      <Time order={order} />
      <Text style={style.heading} role="heading" aria-level={2}>
        {say(order.chosen.kind === 'pickup' ? 'order.for' : 'order.to')}
      </Text>
      {destination
        ? [...writtenAddress(order.recipient ?? '', destination), country(destination.country)].map(
            (line) => (
              <Text key={line} style={style.name}>
                {line}
              </Text>
            ),
          )
        : null}
      <Text style={style.heading} role="heading" aria-level={2}>
        {say('checkout.total')}
      </Text>
      <Sums order={order} />
      <PaidBy id={order.payment} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12, marginTop: 20 }}>
        <Button mode="contained" onPress={() => router.navigate('/shop')}>
          {say('product.back')}
        </Button>
        <TextAction
          label={t('For you, the merchant: look at it in the preview')}
          onPress={() => keep(order)}
        />
      </View>
    </ShopPage>
  );
};

/** An order that was placed. */
export const OrderPage = () => {
  const style = useStyles(shopStyles);
  const { say } = useCustomerWords();
  const { number = '', others } = useLocalSearchParams<{ number?: string; others?: string }>();
  const order = useAppSelector((state) => state.orders.find((one) => one.number === number));
  return order ? (
    <Placed order={order} others={others ? others.split(',') : NONE} />
  ) : (
    <ShopPage title={say('order.gone-title')}>
      <Text style={style.quiet}>{say('order.gone', { number })}</Text>
    </ShopPage>
  );
};
