import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { moneyFigure } from '../../../core/words/figure.ts';
import { selectServedGoods, selectServedDisplayFormat } from '../../state/served.ts';
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

/** How a kind of choice reaches the customer, after the goods. */
const GOES = { shipping: 'sent by', delivery: 'brought by', pickup: '', 'nothing-to-ship': '' } as const;

const Part = ({ part: { request, choice, days, slot, released, pick } }: { part: PartShown }) => {
  const style = useStyles(styles);
  const goods = useAppSelector(selectServedGoods);
  const { decimals } = useAppSelector(selectServedDisplayFormat);
  const names = request.lines
    .map(({ sku, quantity }) => `${quantity} × ${goods.get(sku)?.name ?? sku}`)
    .join(', ');
  return (
    <View style={style.part} role="listitem">
      <Text style={style.name}>{names}</Text>
      <View style={style.row}>
        <Text style={style.quiet}>{[GOES[choice.kind], choice.name].filter(Boolean).join(' ')}</Text>
        <Text style={style.figure}>
          {choice.charge === 0 ? 'free' : moneyFigure(choice.charge, decimals)}
        </Text>
      </View>
      {days.length > 0 ? <SlotPicker days={days} slot={slot} released={released} onPick={pick} /> : null}
    </View>
  );
};

/** A basket that no one way takes, in the fewest parts that can be had: which goods go how, and what each costs. */
export const PartsOffer = ({ checkout: { parts } }: { checkout: PartsCheckout }) => {
  const style = useStyles(styles);
  return (
    <View role="region" aria-label="In parts" style={{ marginBottom: 16 }}>
      <Text style={style.strong}>
        No one way takes all of it, but in {parts.length} parts you can have it.
      </Text>
      <View role="list" aria-label="The parts" style={{ marginTop: 8 }}>
        {parts.map((part) => (
          <Part key={part.key} part={part} />
        ))}
      </View>
    </View>
  );
};
