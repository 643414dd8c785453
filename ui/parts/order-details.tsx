import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { LANGUAGE_WORDS } from '../../core/model/language.ts';
import type { PastOrder } from '../../core/model/order.ts';
import { nearbyOf } from '../../core/order/nearby-of.ts';
import { localMoment } from '../../core/time/local-moment.ts';
import { STATUS_WORDS } from '../../core/words/order-status-words.ts';
import { selectServedBook } from '../state/served.ts';
import { useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { momentText } from './dates.ts';

const styles = (inks: Inks) => ({ note: note(inks) });

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

/** How the customer of an order is reached, where its bill goes, and what happened to it. */
export const OrderDetails = ({ order }: { order: PastOrder }) => {
  const style = useStyles(styles);
  const book = useAppSelector(selectServedBook);
  const history = order.history.map(({ status, at }) => {
    const { date, time } = localMoment(at, book.store.timeZone);
    return `${STATUS_WORDS[status]} ${momentText(date, time)}`;
  });
  return (
    <View style={{ gap: 4 }}>
      {factsOf(order, nearbyOf(book, order).pickup?.kerbside === true).map((fact) => (
        <Text key={fact} style={style.note}>
          {fact}
        </Text>
      ))}
      <Text style={style.note}>{history.join(' · ')}</Text>
    </View>
  );
};
