import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { MessageId } from '../../../core/words/customer/english.ts';
import type { PaymentOption } from '../../../core/model/tax.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { selectShopBook } from '../../state/shop-language.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { RadioRow } from './radio-row.tsx';
import { shopStyles } from './shop-styles.ts';
import type { Checkout } from './use-checkout.ts';

interface PaymentsProps {
  payments: readonly PaymentOption[];
  payment: PaymentOption | null;
  /** What is said where none of them fits. */
  none: MessageId;
  pay: (id: string) => void;
}

/** How it is paid, where the shop has said how it can be. */
const Payments = ({ payments, payment, none, pay }: PaymentsProps) => {
  const style = useStyles(shopStyles);
  const { say } = useCustomerWords();
  const options = useAppSelector(selectShopBook).payments;
  if (options.length === 0) return null;
  return (
    <View role="radiogroup" aria-label={say('pay.title')}>
      <Text style={style.heading} role="heading" aria-level={2}>
        {say('pay.title')}
      </Text>
      {payments.length === 0 ? <Text style={style.fault}>{say(none)}</Text> : null}
      {payments.map(({ id, name, instructions }) => (
        <View key={id}>
          <RadioRow name={name} on={id === payment?.id} onPress={() => pay(id)} />
          {id === payment?.id && instructions ? <Text style={style.quiet}>{instructions}</Text> : null}
        </View>
      ))}
    </View>
  );
};

/** How the order is paid, whole or in parts. */
export const Paying = ({ checkout: { chosen, parts, payments, payment, pay } }: { checkout: Checkout }) => {
  if (parts) {
    const none = parts.cannotPay ? 'pay.none-for-some' : 'pay.none-for-all';
    return <Payments payments={parts.payments} payment={parts.payment} none={none} pay={parts.pay} />;
  }
  return chosen ? <Payments payments={payments} payment={payment} none="pay.none" pay={pay} /> : null;
};
