import { View } from 'react-native';
import { t } from '../../../core/translate/translate.ts';
import type { Price } from '../../../core/model/price.ts';
import { MoneyField, OptionalMoneyField } from '../../fields/kind-fields.tsx';
import { Segments } from '../../parts/segments.tsx';

type Flat = Extract<Price, { kind: 'flat' }>;

interface Props {
  price: Flat;
  onChange: (price: Price, visit: string | null) => void;
}

const NAMES: Record<Flat['per'], string> = {
  order: t('Charge for the order'),
  parcel: t('Charge for a parcel'),
  unit: t('Charge for a unit'),
  line: t('Charge for a line of the basket'),
};

/** A flat price: what it counts, its amount, and what the first one costs where that differs. */
export const FlatFields = ({ price, onChange }: Props) => {
  const { amount, per, first } = price;
  const { first: _, ...single } = price;
  return (
    <View style={{ gap: 12 }}>
      <MoneyField
        label={NAMES[per]}
        right
        style={{ width: 200 }}
        value={amount}
        onChange={(next, visit) => onChange({ ...price, amount: next }, visit)}
      />
      <Segments
        label={t('Charged for each')}
        value={per}
        onChange={(next) =>
          onChange(next === 'order' ? { ...single, per: next } : { ...price, per: next }, null)
        }
        options={[
          { value: 'order', label: t('order') },
          { value: 'parcel', label: t('parcel') },
          { value: 'unit', label: t('unit') },
          { value: 'line', label: t('line') },
        ]}
      />
      {per === 'order' ? null : (
        <OptionalMoneyField
          label={t('The first {per}, where it costs something else', { per })}
          right
          style={{ width: 200 }}
          placeholder={t('the same')}
          value={first}
          onChange={(next, visit) => onChange(next === undefined ? single : { ...price, first: next }, visit)}
        />
      )}
    </View>
  );
};
