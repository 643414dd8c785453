import { View } from 'react-native';
import type { Price } from '../../../core/model/price.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { DraftField } from '../../parts/draft-field.tsx';
import { optional, readMoney, readPercent } from '../../parts/readers.ts';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { withEnd } from '../../parts/optional-parts.ts';

type Percent = Extract<Price, { kind: 'percent' }>;

interface Props {
  price: Percent;
  onChange: (price: Price, visit: string | null) => void;
}

/** A percentage of the subtotal, with the least and the greatest it comes to. */
export const PercentFields = ({ price, onChange }: Props) => {
  const display = useAppSelector(selectDisplayFormat);
  const { kind, points, min, max } = price;
  const set = (end: 'min' | 'max', value: number | undefined, visit: string): void => {
    const ends = { ...(min === undefined ? {} : { min }), ...(max === undefined ? {} : { max }) };
    onChange({ kind, points, ...withEnd(ends, end, value) }, visit);
  };
  const bound = (end: 'min' | 'max', label: string, value: number | undefined) => (
    <DraftField
      label={label}
      right
      style={{ width: 150 }}
      placeholder={end === 'min' ? 'no least' : 'no greatest'}
      text={value === undefined ? '' : moneyFigure(value, display.decimals)}
      read={optional<number>(readMoney(display))}
      onChange={(next, visit) => set(end, next, visit)}
    />
  );
  return (
    <View style={{ gap: 12 }}>
      <DraftField
        label="% of the subtotal"
        right
        style={{ width: 150 }}
        text={String(points / 100)}
        read={readPercent}
        onChange={(next, visit) => onChange({ ...price, points: next }, visit)}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        {bound('min', 'but at least', min)}
        {bound('max', 'and at most', max)}
      </View>
    </View>
  );
};
