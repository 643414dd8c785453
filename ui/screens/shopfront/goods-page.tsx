import { useState } from 'react';
import { FlatList, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Good } from '../../../core/model/good.ts';
import { usePageTitle } from '../../page/page-title.ts';
import { LinkPress } from '../../parts/link-press.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { added } from '../../state/basket.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { selectShopBook, selectShopCatalogue } from '../../state/shop-language.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { ShopHead } from './shop-head.tsx';
import { shopStyles } from './shop-styles.ts';

const MANY = 12;

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  find: { maxWidth: 320, marginBottom: 12 },
  cell: {
    flex: 1,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: 12,
    paddingVertical: 12,
    borderTopWidth: 1,
    borderTopColor: inks.hairline,
  } as const,
  words: { flex: 1 },
  linked: { textDecorationLine: 'underline', textDecorationColor: inks.hairline } as const,
  headGround: { backgroundColor: inks.raised },
});

const Product = ({ good }: { good: Good }) => {
  const { say, price } = useCustomerWords();
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const count = useAppSelector((state) => state.basket.find(({ sku }) => sku === good.sku)?.quantity ?? 0);
  return (
    <View style={style.cell}>
      <LinkPress
        to={{ pathname: '/shop/product', params: { sku: good.sku } }}
        aria-label={good.name}
        style={style.words}
      >
        <View>
          <Text style={[style.name, style.linked]}>{good.name}</Text>
          <Text style={style.quiet}>
            {price(good.price)}
            {good.fulfilment === 'digital' ? ` · ${say('shop.by-email')}` : ''}
          </Text>
        </View>
      </LinkPress>
      <Button
        mode="outlined"
        accessibilityLabel={say('shop.add-named', { good: good.name })}
        onPress={() => dispatch(added(good.sku))}
      >
        {count === 0 ? say('shop.add') : say('shop.add-more', { count })}
      </Button>
    </View>
  );
};

/** All that the shop sells, found by name. */
export const GoodsPage = () => {
  const style = useStyles(styles);
  const { goods } = useAppSelector(selectShopCatalogue);
  const columns = useWidth() === 'phone' ? 1 : 2;
  const { say, language } = useCustomerWords();
  usePageTitle(say('shop.all-products'), useAppSelector(selectShopBook).store.name);
  const [sought, setSought] = useState('');
  const shown = goods.filter(({ name }) => name.toLowerCase().includes(sought.trim().toLowerCase()));
  return (
    <View style={{ flex: 1 }} {...{ lang: language }}>
      <View style={style.headGround}>
        <ShopHead />
      </View>
      <FlatList
        key={columns}
        style={style.page}
        data={shown}
        numColumns={columns}
        keyExtractor={({ sku }) => sku}
        renderItem={({ item }) => <Product good={item} />}
        columnWrapperStyle={columns > 1 ? { gap: 40 } : undefined}
        contentContainerStyle={style.column}
        ListHeaderComponent={
          <>
            <Text style={style.title} role="heading" aria-level={1}>
              {say('shop.all-products')}
            </Text>
            {goods.length > MANY ? (
              <View style={style.find}>
                <TextLine
                  hideLabel
                  label={say('shop.find')}
                  placeholder={say('shop.find-by-name')}
                  value={sought}
                  onChange={setSought}
                />
              </View>
            ) : null}
            {shown.length === 0 ? (
              <Text style={style.quiet}>
                {say(goods.length === 0 ? 'shop.nothing-sold' : 'shop.nothing-by-name')}
              </Text>
            ) : null}
          </>
        }
      />
    </View>
  );
};
