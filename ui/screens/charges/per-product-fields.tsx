import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Price } from '../../../core/model/price.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { OptionalMoneyField } from '../../fields/kind-fields.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { selectPricedGoods, selectDisplayFormat } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';

type ByGoods = Extract<Price, { kind: 'per-product' }>;

interface Props {
  price: ByGoods;
  onChange: (price: Price, visit: string | null) => void;
}

const styles = (inks: Inks) => ({ all: { gap: 12 }, note: note(inks) });

/** Each good's own price for sending it, and what goods without one are charged. */
export const PerProductFields = ({ price, onChange }: Props) => {
  const style = useStyles(styles);
  const router = useRouter();
  const display = useAppSelector(selectDisplayFormat);
  const { own, without } = useAppSelector(selectPricedGoods);
  const { otherwise } = price;
  const rest =
    otherwise === null
      ? t('a basket that holds one of them is not offered this service')
      : t('they are charged {amount}', { amount: moneyFigure(otherwise, display.decimals) });
  return (
    <View style={style.all}>
      <Segments
        label={t('Charged')}
        value={price.per}
        onChange={(per) => onChange({ ...price, per }, null)}
        options={[
          { value: 'unit', label: t('for each unit') },
          { value: 'line', label: t('once per order line') },
        ]}
      />
      <OptionalMoneyField
        label={t('Products without a price of their own')}
        right
        style={{ width: 220 }}
        placeholder={t('not offered')}
        value={otherwise ?? undefined}
        onChange={(next, visit) => onChange({ ...price, otherwise: next ?? null }, visit)}
      />
      <Text style={style.note}>
        {t(
          '{own, plural, one {# product} other {# products}} with a price of their own, {without} without: {price}.',
          { own, without, price: rest },
        )}
      </Text>
      <TextAction
        label={t('Go to products')}
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        onPress={() => router.navigate('/goods')}
      />
    </View>
  );
};
