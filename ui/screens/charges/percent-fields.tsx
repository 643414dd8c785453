import { View } from 'react-native';
import { t } from '../../../core/translate/translate.ts';
import type { Price } from '../../../core/model/price.ts';
import { OptionalMoneyField, PercentField } from '../../fields/kind-fields.tsx';
import { withEnd } from '../../parts/optional-parts.ts';

type Percent = Extract<Price, { kind: 'percent' }>;

interface Props {
  price: Percent;
  onChange: (price: Price, visit: string | null) => void;
}

/** A percentage of the subtotal, with the least and the greatest it comes to. */
export const PercentFields = ({ price, onChange }: Props) => {
  const { kind, points, min, max } = price;
  const set = (end: 'min' | 'max', value: number | undefined, visit: string): void => {
    const ends = { ...(min === undefined ? {} : { min }), ...(max === undefined ? {} : { max }) };
    onChange({ kind, points, ...withEnd(ends, end, value) }, visit);
  };
  const bound = (end: 'min' | 'max', label: string, value: number | undefined) => (
    <OptionalMoneyField
      label={label}
      right
      style={{ width: 150 }}
      placeholder={end === 'min' ? t('no minimum') : t('no maximum')}
      value={value}
      onChange={(next, visit) => set(end, next, visit)}
    />
  );
  return (
    <View style={{ gap: 12 }}>
      <PercentField
        label={t('% of the subtotal')}
        right
        style={{ width: 150 }}
        value={points}
        onChange={(next, visit) => onChange({ ...price, points: next }, visit)}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        {bound('min', t('but at least'), min)}
        {bound('max', t('and at most'), max)}
      </View>
    </View>
  );
};
