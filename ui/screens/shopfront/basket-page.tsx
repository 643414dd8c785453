import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Good } from '../../../core/model/good.ts';
import { GREATEST_QUANTITY } from '../../../core/model/unit.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { CountField } from '../../fields/kind-fields.tsx';
import { counted } from '../../state/basket.ts';
import { selectBasket } from '../../state/customer-view.ts';
import { selectServedDisplayFormat } from '../../state/served.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { EmptyBasket, ShopPage } from './shop-page.tsx';
import { usePrice } from './use-price.ts';
import { shopStyles } from './shop-styles.ts';
import { IconAction } from '../../parts/icon-action.tsx';

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  words: { flex: 1 },
  count: { flexDirection: 'row', alignItems: 'center' } as const,
  number: { width: 64 },
  amount: { ...shopStyles(inks).figure, minWidth: 84, textAlign: 'right' } as const,
  go: { alignSelf: 'flex-end', marginTop: 20 } as const,
});

const Line = ({ good, quantity, amount }: { good: Good; quantity: number; amount: number }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { decimals } = useAppSelector(selectServedDisplayFormat);
  const set = (next: number): void => void dispatch(counted({ sku: good.sku, quantity: next }));
  return (
    <View style={[style.row, style.line]} role="listitem">
      <View style={style.words}>
        <Text style={style.name}>{good.name}</Text>
        <View style={[style.count, { marginLeft: -12 }]}>
          <IconAction
            icon="minus"
            size={18}
            accessibilityLabel={`One ${good.name} less`}
            onPress={() => set(quantity - 1)}
          />
          <CountField
            hideLabel
            right
            style={style.number}
            label={`How many ${good.name}`}
            value={quantity}
            least={1}
            most={GREATEST_QUANTITY}
            onChange={set}
          />
          <IconAction
            icon="plus"
            size={18}
            accessibilityLabel={`One ${good.name} more`}
            onPress={() => set(quantity + 1)}
          />
          <Text style={style.quiet}>at {moneyFigure(good.price, decimals)}</Text>
        </View>
      </View>
      <Text style={style.amount}>{moneyFigure(amount, decimals)}</Text>
      <IconAction icon="close" size={18} accessibilityLabel={`Remove ${good.name}`} onPress={() => set(0)} />
    </View>
  );
};

/** What the customer is about to order. */
export const BasketPage = () => {
  const style = useStyles(styles);
  const router = useRouter();
  const { lines, subtotal } = useAppSelector(selectBasket);
  const price = usePrice();
  if (lines.length === 0) return <EmptyBasket title="Basket" text="The basket is empty." />;
  return (
    <ShopPage title="Basket">
      <View role="list" aria-label="Basket">
        {lines.map((line) => (
          <Line key={line.good.sku} {...line} />
        ))}
      </View>
      <View style={[style.row, { paddingTop: 16, paddingRight: 52 }]}>
        <Text style={style.strong}>Products</Text>
        <Text style={style.strong}>{price(subtotal)}</Text>
      </View>
      <Text style={style.quiet}>What getting it to you costs is worked out from your address.</Text>
      <Button mode="contained" style={style.go} onPress={() => router.navigate('/shop/checkout')}>
        Go to checkout
      </Button>
    </ShopPage>
  );
};
