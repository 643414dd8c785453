import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useStyles } from '../../theme/styles.ts';
import { ShopHead } from './shop-head.tsx';
import { shopStyles } from './shop-styles.ts';

/** A page of the shop that scrolls, under its head. */
export const ShopPage = ({ title, children }: { title: string; children: ReactNode }) => {
  const style = useStyles(shopStyles);
  return (
    <ScrollView style={style.page} contentContainerStyle={{ flexGrow: 1 }}>
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
