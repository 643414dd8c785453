import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { usePageTitle } from '../../page/page-title.ts';
import { selectShopBook } from '../../state/shop-language.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { ShopHead } from './shop-head.tsx';
import { shopStyles } from './shop-styles.ts';

/** A page of the shop that scrolls, under its head. */
export const ShopPage = ({ title, children }: { title: string; children: ReactNode }) => {
  const style = useStyles(shopStyles);
  const { language } = useCustomerWords();
  usePageTitle(title, useAppSelector(selectShopBook).store.name);
  return (
    <ScrollView style={style.page} contentContainerStyle={{ flexGrow: 1 }} {...{ lang: language }}>
      <ShopHead />
      <View style={style.column}>
        <Text style={style.title} role="heading" aria-level={1}>
          {title}
        </Text>
        {children}
      </View>
    </ScrollView>
  );
};

/** A page that has nothing to show until something is in the basket. */
export const EmptyBasket = ({ title, text }: { title: string; text: string }) => {
  const style = useStyles(shopStyles);
  const router = useRouter();
  const { say } = useCustomerWords();
  return (
    <ShopPage title={title}>
      <Text style={style.quiet}>{text}</Text>
      <Button
        mode="contained"
        style={{ alignSelf: 'flex-start', marginTop: 16 }}
        onPress={() => router.navigate('/shop')}
      >
        {say('basket.look')}
      </Button>
    </ShopPage>
  );
};
