import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { PaymentOption } from '../../../core/model/tax.ts';
import { selectServedBook } from '../../state/served.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { RadioRow } from './radio-row.tsx';
import { shopStyles } from './shop-styles.ts';
import type { Checkout } from './use-checkout.ts';

interface PaymentsProps {
  payments: readonly PaymentOption[];
  payment: PaymentOption | null;
  /** What is said where none of them fits. */
  none: string;
  pay: (id: string) => void;
}

/** How it is paid, where the shop has said how it can be. */
const Payments = ({ payments, payment, none, pay }: PaymentsProps) => {
  const style = useStyles(shopStyles);
  const options = useAppSelector(selectServedBook).payments;
  if (options.length === 0) return null;
  return (
    <View role="radiogroup" aria-label="How you pay">
      <Text style={style.heading} role="heading" aria-level={2}>
        How you pay
      </Text>
      {payments.length === 0 ? <Text style={style.fault}>{none}</Text> : null}
      {payments.map(({ id, name, instructions }) => (
        <View key={id}>
          <RadioRow name={name} on={id === payment?.id} onPress={() => pay(id)} />
          {id === payment?.id && instructions ? <Text style={style.quiet}>{instructions}</Text> : null}
        </View>
      ))}
    </View>
  );
};

const NO_WAY = 'No way to pay fits this order. Choose another way of getting it.';
const NO_ONE_WAY = 'No one way to pay fits every part: each is paid in the first way that fits it.';

/** How the order is paid, whole or in parts. */
export const Paying = ({ checkout: { chosen, parts, payments, payment, pay } }: { checkout: Checkout }) => {
  if (parts) {
    const none = parts.cannotPay ? 'No way to pay fits some part of this order.' : NO_ONE_WAY;
    return <Payments payments={parts.payments} payment={parts.payment} none={none} pay={parts.pay} />;
  }
  return chosen ? <Payments payments={payments} payment={payment} none={NO_WAY} pay={pay} /> : null;
};
