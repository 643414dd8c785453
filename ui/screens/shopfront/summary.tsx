import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import type { Sums } from '../../state/customer-view.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { shopStyles } from './shop-styles.ts';

interface Props {
  sums: Sums;
  /** The choice that the charge is for. */
  name: string;
}

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  total: { borderTopWidth: 1, borderTopColor: inks.ink, paddingTop: 10, marginTop: 10 },
});

/** Order total: goods, charge, each tax on a line of its own, and all of it. */
export const Summary = ({ sums, name }: Props) => {
  const { say, money, price, percent } = useCustomerWords();
  const style = useStyles(styles);
  const line = (key: string, label: string, amount: number, quiet = false) => (
    <View style={style.row} key={key}>
      <Text style={quiet ? style.quiet : style.name}>{label}</Text>
      <Text style={quiet ? style.quiet : style.figure}>{money(amount)}</Text>
    </View>
  );
  const taxes = sums.taxes.map(({ id, name: tax, points, amount }) =>
    line(
      id,
      say(sums.taxIncluded ? 'sums.tax-within' : 'sums.tax', { name: tax, percent: percent(points) }),
      amount,
      sums.taxIncluded,
    ),
  );
  return (
    <View aria-live="polite" role="region" aria-label={say('checkout.total')}>
      {line('goods', say('sums.products'), sums.goods)}
      {line('charge', name, sums.charge)}
      {sums.taxIncluded ? null : taxes}
      {sums.prepaid > 0 ? line('prepaid', say('sums.prepaid'), sums.prepaid) : null}
      <View style={[style.row, style.total]}>
        <Text style={style.strong}>{say('sums.total')}</Text>
        <Text style={[style.strong, style.figure]}>{price(sums.total)}</Text>
      </View>
      {sums.taxIncluded ? taxes : null}
    </View>
  );
};
