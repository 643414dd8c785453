import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Good } from '../../../core/model/good.ts';
import { GREATEST_QUANTITY } from '../../../core/model/bounds.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { CountField } from '../../fields/kind-fields.tsx';
import { counted } from '../../state/basket.ts';
import { selectBasket } from '../../state/customer-view.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { PostalCheck } from './postal-check.tsx';
import { EmptyBasket, ShopPage } from './shop-page.tsx';
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
  const { say, money } = useCustomerWords();
  const set = (next: number): void => void dispatch(counted({ sku: good.sku, quantity: next }));
  return (
    <View style={[style.row, style.line]} role="listitem">
      <View style={style.words}>
        <Text style={style.name}>{good.name}</Text>
        <View style={[style.count, { marginLeft: -12 }]}>
          <IconAction
            icon="minus"
            size={18}
            accessibilityLabel={say('basket.less', { good: good.name })}
            onPress={() => set(quantity - 1)}
          />
          <CountField
            hideLabel
            right
            style={style.number}
            label={say('basket.how-many', { good: good.name })}
            value={quantity}
            least={1}
            most={GREATEST_QUANTITY}
            onChange={set}
          />
          <IconAction
            icon="plus"
            size={18}
            accessibilityLabel={say('basket.more', { good: good.name })}
            onPress={() => set(quantity + 1)}
          />
          <Text style={style.quiet}>{say('basket.each', { price: money(good.price) })}</Text>
        </View>
      </View>
      <Text style={style.amount}>{money(amount)}</Text>
      <IconAction
        icon="close"
        size={18}
        accessibilityLabel={say('basket.remove', { good: good.name })}
        onPress={() => set(0)}
      />
    </View>
  );
};

/** What the customer is about to order. */
export const BasketPage = () => {
  const style = useStyles(styles);
  const router = useRouter();
  const { lines, subtotal, travels } = useAppSelector(selectBasket);
  const asked = useMemo(() => lines.map(({ good: { sku }, quantity }) => ({ sku, quantity })), [lines]);
  const { say, price } = useCustomerWords();
  if (lines.length === 0) return <EmptyBasket title={say('shop.basket')} text={say('basket.empty')} />;
  return (
    <ShopPage title={say('shop.basket')}>
      <View role="list" aria-label={say('shop.basket')}>
        {lines.map((line) => (
          <Line key={line.good.sku} {...line} />
        ))}
      </View>
      <View style={[style.row, { paddingTop: 16, paddingRight: 52 }]}>
        <Text style={style.strong}>{say('basket.products')}</Text>
        <Text style={style.strong}>{price(subtotal)}</Text>
      </View>
      {travels ? <PostalCheck lines={asked} title={say('basket.delivery')} /> : null}
      <Button mode="contained" style={style.go} onPress={() => router.navigate('/shop/checkout')}>
        {say('basket.checkout')}
      </Button>
    </ShopPage>
  );
};
