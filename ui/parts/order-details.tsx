import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { LANGUAGE_WORDS } from '../../core/model/language.ts';
import type { PastOrder } from '../../core/model/order.ts';
import { nearbyOf } from '../../core/order/nearby-of.ts';
import { localMoment } from '../../core/time/local-moment.ts';
import { orderSumsPhrase } from '../../core/order/order-sums-phrase.ts';
import { STATUS_WORDS } from '../../core/words/order-status-words.ts';
import { selectDisplayFormat } from '../state/selectors.ts';
import { selectServedBook, selectServedGoods } from '../state/served.ts';
import { useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { note, smallFigure } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { momentText } from './dates.ts';

const styles = (inks: Inks) => ({
  line: { flexDirection: 'row', gap: 12 } as const,
  count: { ...smallFigure, width: 36, textAlign: 'right' } as const,
  note: note(inks),
});

/** What was ordered: how many of each product. */
const Ordered = ({ order }: { order: PastOrder }) => {
  const style = useStyles(styles);
  const goods = useAppSelector(selectServedGoods);
  return (
    <View role="list" aria-label={t('What is packed')}>
      {order.request.lines.map(({ sku, name, quantity }) => (
        <View key={sku} role="listitem" style={style.line}>
          <Text style={style.count}>{quantity} ×</Text>
          <Text>{name ?? goods.get(sku)?.name ?? sku}</Text>
        </View>
      ))}
    </View>
  );
};

const addressOf = ({ destination }: PastOrder['request']): string =>
  [...(destination?.lines ?? []), destination?.postalCode, destination?.city].filter(Boolean).join(', ');

/** What the merchant has to know of whoever ordered: how they are reached, where the bill goes, kerbside. */
const factsOf = ({ contact, billing, chosen, language }: PastOrder, isKerbside: boolean): string[] => {
  const { email, phone } = contact ?? {};
  const address = billing?.address;
  const reached = [email, phone].filter(Boolean).join(' · ');
  const billed = billing
    ? [billing.name, ...(address?.lines ?? []), address?.postalCode, address?.city, address?.country]
        .filter(Boolean)
        .join(', ')
    : '';
  return [
    ...(chosen.fallback
      ? [
          t('{chosen} was charged by the fallback: the carrier gave no price when it was ordered.', {
            chosen: chosen.name,
          }),
        ]
      : []),
    ...(reached === '' ? [] : [reached]),
    ...(billed === '' ? [] : [t('Bill to {billed}', { billed })]),
    ...(language
      ? [
          t('Ordered in {language}, as “{shownAs}”.', {
            language: LANGUAGE_WORDS[language],
            shownAs: chosen.shownAs ?? chosen.name,
          }),
        ]
      : []),
    ...(isKerbside ? [t('Kerbside: bring it out to the customer’s car.')] : []),
  ];
};

/** What was ordered and what it came to, where it goes, how its customer is reached, and what happened to it. */
export const OrderDetails = ({ order }: { order: PastOrder }) => {
  const style = useStyles(styles);
  const book = useAppSelector(selectServedBook);
  const history = order.history.map(({ status, at }) => {
    const { date, time } = localMoment(at, book.store.timeZone);
    return `${STATUS_WORDS[status]} ${momentText(date, time)}`;
  });
  const { decimals } = useAppSelector(selectDisplayFormat);
  const payment = book.payments.find(({ id }) => id === order.payment)?.name ?? '';
  const facts = [
    addressOf(order.request),
    orderSumsPhrase(order, decimals),
    payment,
    ...factsOf(order, nearbyOf(book, order).pickup?.kerbside === true),
  ].filter(Boolean);
  return (
    <View style={{ gap: 4 }}>
      <Ordered order={order} />
      {facts.map((fact) => (
        <Text key={fact} style={style.note}>
          {fact}
        </Text>
      ))}
      <Text style={style.note}>{history.join(' · ')}</Text>
    </View>
  );
};
