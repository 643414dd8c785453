import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';
import { Button, Text } from 'react-native-paper';
import type { Good } from '../../../core/model/good.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { added } from '../../state/basket.ts';
import { selectShopBook, selectShopGoods } from '../../state/shop-language.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { PostalCheck } from './postal-check.tsx';
import { ShopPage } from './shop-page.tsx';
import { shopStyles } from './shop-styles.ts';

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  add: { alignSelf: 'flex-start', marginTop: 16 } as const,
});

const Facts = ({ good }: { good: Good }) => {
  const style = useStyles(styles);
  const { say, length, weight: weigh } = useCustomerWords();
  if (good.fulfilment === 'digital') return <Text style={style.quiet}>{say('product.comes-by-email')}</Text>;
  const { weight, size } = good;
  const sides = size && [size.length, size.width, size.height].map(length).join(' × ');
  const facts = [weight === undefined ? null : weigh(weight), sides].filter(Boolean);
  return facts.length > 0 ? <Text style={style.quiet}>{facts.join(' · ')}</Text> : null;
};

/** One good, with what it costs and whether it reaches the customer. */
export const ProductPage = () => {
  const style = useStyles(styles);
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { sku = '' } = useLocalSearchParams<{ sku?: string }>();
  const good = useAppSelector(selectShopGoods).get(sku);
  const { say, price } = useCustomerWords();
  const { active: hasCheck, label } = useAppSelector(selectShopBook).store.codeCheck ?? { active: true };
  const lines = useMemo(() => [{ sku, quantity: 1 }], [sku]);
  if (!good) {
    return (
      <ShopPage title={say('product.gone-title')}>
        <Text style={style.quiet}>{say('product.gone')}</Text>
        <Button mode="contained" style={style.add} onPress={() => router.navigate('/shop')}>
          {say('product.back')}
        </Button>
      </ShopPage>
    );
  }
  return (
    <ShopPage title={good.name}>
      <Text style={style.strong}>{price(good.price)}</Text>
      <Facts good={good} />
      {good.fulfilment === 'physical' && hasCheck ? (
        <PostalCheck lines={lines} title={label ?? say('product.check')} />
      ) : null}
      <Button
        mode="contained"
        style={style.add}
        onPress={() => {
          dispatch(added(good.sku));
          router.navigate('/shop/basket');
        }}
      >
        {say('product.add')}
      </Button>
    </ShopPage>
  );
};
