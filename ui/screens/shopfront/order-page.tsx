import { useLocalSearchParams, useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { PastOrder } from '../../../core/model/order.ts';
import { nearbyOf } from '../../../core/order/nearby-of.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { slotFigure } from '../../../core/words/slot-phrase.ts';
import { saveCalendar } from '../../files/calendar-file.ts';
import { MarkedText } from '../../parts/marked-text.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { countryName } from '../../places/places.ts';
import { useKeepAsTestOrder } from '../../parts/keep-as-test-order.ts';
import { selectServedBook, selectServedDisplayFormat } from '../../state/served.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { writtenAddress } from './address-form.ts';
import { ShopPage } from './shop-page.tsx';
import { usePrice } from './use-price.ts';
import { shopStyles } from './shop-styles.ts';

const Sums = ({ order }: { order: PastOrder }) => {
  const style = useStyles(shopStyles);
  const { decimals } = useAppSelector(selectServedDisplayFormat);
  const price = usePrice();
  const { chosen, sums } = order;
  const lines: [string, number][] = [
    ['Products', sums?.goods ?? 0],
    [chosen.name, chosen.charge],
    ['Taxes', sums?.taxes ?? 0],
    ...(sums?.prepaid ? [['Import charges, paid now', sums.prepaid] as [string, number]] : []),
  ];
  return (
    <View style={{ maxWidth: 400 }}>
      {lines.map(([label, amount]) => (
        <View key={label} style={style.row}>
          <Text style={style.name}>{label}</Text>
          <Text style={style.figure}>{moneyFigure(amount, decimals)}</Text>
        </View>
      ))}
      <View style={style.row}>
        <Text style={style.strong}>Total</Text>
        <Text style={style.strong}>{price(sums?.total ?? chosen.total)}</Text>
      </View>
    </View>
  );
};

/** When and where it is to be had, how, and the file for a calendar. */
const Time = ({ order }: { order: PastOrder }) => {
  const style = useStyles(shopStyles);
  const book = useAppSelector(selectServedBook);
  const { slot, kind, name } = order.chosen;
  const { pickup, area, location } = nearbyOf(book, order);
  const text = pickup?.instructions ?? area?.instructions ?? '';
  if (kind !== 'delivery' && kind !== 'pickup') return null;
  const where = location
    ? [...(location.address.lines ?? []), location.address.city].filter(Boolean).join(', ')
    : '';
  const title = `${book.store.name}: order ${order.number}, ${name}`;
  return (
    <View style={{ gap: 4 }}>
      <Text style={style.heading} role="heading" aria-level={2}>
        {kind === 'pickup' ? 'You collect it' : 'We bring it'}
      </Text>
      <Text style={style.name}>{name}</Text>
      {slot ? <Text style={style.strong}>{slotFigure(slot)}</Text> : null}
      {!slot && order.promise?.words ? <Text style={style.name}>{order.promise.words}</Text> : null}
      {kind === 'pickup' && location ? (
        <Text style={style.name}>
          {location.name}, {where}
        </Text>
      ) : null}
      {text === '' ? null : <MarkedText text={text} />}
      {slot ? (
        <TextAction
          label="Into your calendar"
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

const Placed = ({ order, others }: { order: PastOrder; others: string[] }) => {
  const style = useStyles(shopStyles);
  const router = useRouter();
  const keep = useKeepAsTestOrder();
  const { destination, lines } = order.request;
  const payment = useAppSelector(selectServedBook).payments.find(({ id }) => id === order.payment);
  return (
    <ShopPage title={`Thank you. Your order is ${order.number}.`}>
      {others.length > 0 ? (
        <View
          style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, marginBottom: 12 }}
        >
          <Text style={style.quiet}>The rest comes as</Text>
          {others.map((other) => (
            <TextAction
              key={other}
              label={`order ${other}`}
              onPress={() => router.navigate({ pathname: '/shop/order', params: { number: other } })}
            />
          ))}
        </View>
      ) : null}
      {lines.map(({ sku, name, quantity }) => (
        <Text key={sku} style={style.name}>
          {quantity} × {name ?? sku}
        </Text>
      ))}
      <Time order={order} />
      <Text style={style.heading} role="heading" aria-level={2}>
        {order.chosen.kind === 'pickup' ? 'For' : 'To'}
      </Text>
      {destination
        ? [...writtenAddress(order.recipient ?? '', destination), countryName(destination.country)].map(
            (line) => (
              <Text key={line} style={style.name}>
                {line}
              </Text>
            ),
          )
        : null}
      <Text style={style.heading} role="heading" aria-level={2}>
        Order total
      </Text>
      <Sums order={order} />
      {payment ? (
        <>
          <Text style={style.heading} role="heading" aria-level={2}>
            How you pay
          </Text>
          <Text style={style.name}>{payment.name}</Text>
          {payment.instructions ? <Text style={style.quiet}>{payment.instructions}</Text> : null}
        </>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12, marginTop: 20 }}>
        <Button mode="contained" onPress={() => router.navigate('/shop')}>
          Back to the products
        </Button>
        <TextAction label="For you, the merchant: look at it in the preview" onPress={() => keep(order)} />
      </View>
    </ShopPage>
  );
};

/** An order that was placed. */
export const OrderPage = () => {
  const style = useStyles(shopStyles);
  const { number, others } = useLocalSearchParams<{ number?: string; others?: string }>();
  const order = useAppSelector((state) => state.orders.find((one) => one.number === number));
  return order ? (
    <Placed order={order} others={others ? others.split(',') : NONE} />
  ) : (
    <ShopPage title="No such order">
      <Text style={style.quiet}>There is no order {number ?? ''} on this device.</Text>
    </ShopPage>
  );
};
