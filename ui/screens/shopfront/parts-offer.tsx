import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { selectShopGoods } from '../../state/shop-language.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { shopStyles } from './shop-styles.ts';
import { SlotPicker } from './slot-picker.tsx';
import type { PartShown, PartsCheckout } from './use-parts.ts';

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  part: { borderWidth: 1, borderColor: inks.hairline, padding: 12, marginBottom: 8, gap: 6 },
});

const Part = ({ part: { request, choice, days, slot, released, pick } }: { part: PartShown }) => {
  const style = useStyles(styles);
  const goods = useAppSelector(selectShopGoods);
  const { say, money } = useCustomerWords();
  const names = request.lines
    .map(({ sku, quantity }) => say('order.line', { count: quantity, good: goods.get(sku)?.name ?? sku }))
    .join(', ');
  return (
    <View style={style.part} role="listitem">
      <Text style={style.name}>{names}</Text>
      <View style={style.row}>
        <Text style={style.quiet}>{say('parts.goes', { kind: choice.kind, name: choice.name })}</Text>
        <Text style={style.figure}>{choice.charge === 0 ? say('shop.free') : money(choice.charge)}</Text>
      </View>
      {days.length > 0 ? <SlotPicker days={days} slot={slot} released={released} onPick={pick} /> : null}
    </View>
  );
};

/** A basket that no one way takes, in the fewest parts that can be had: which goods go how, and what each costs. */
export const PartsOffer = ({ checkout: { parts } }: { checkout: PartsCheckout }) => {
  const style = useStyles(styles);
  const { say } = useCustomerWords();
  return (
    <View role="region" aria-label={say('parts.title')} style={{ marginBottom: 16 }}>
      <Text style={style.strong}>{say('parts.said', { count: parts.length })}</Text>
      <View role="list" aria-label={say('parts.list')} style={{ marginTop: 8 }}>
        {parts.map((part) => (
          <Part key={part.key} part={part} />
        ))}
      </View>
    </View>
  );
};
