import { memo } from 'react';
import { View } from 'react-native';
import type { Measure, Price, TiersPrice } from '../../../core/model/price.ts';
import { rebased } from '../../../core/price/rebase.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { DraftField } from '../../parts/draft-field.tsx';
import { readMoney } from '../../parts/readers.ts';
import { Segments } from '../../parts/segments.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { selectSpeech } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { StepsTable } from './steps-table.tsx';

interface Props {
  price: Price;
  onChange: (price: Price, visit: string | null) => void;
}

const KINDS: { value: 'flat' | 'tiers'; label: string }[] = [
  { value: 'flat', label: 'Flat' },
  { value: 'tiers', label: 'Steps' },
];
const BASES: { value: Measure; label: string }[] = [
  { value: 'weight', label: 'Weight' },
  { value: 'subtotal', label: 'Subtotal' },
  { value: 'units', label: 'Units' },
  { value: 'volume', label: 'Volume' },
];

const asFlat = (price: TiersPrice): Price => ({
  kind: 'flat',
  amount: price.steps[0]?.amount ?? 0,
  per: 'order',
});
const asTiers = (amount: number): TiersPrice => ({
  kind: 'tiers',
  basis: 'weight',
  per: 'order',
  steps: [{ from: 0, amount }],
});

/** What kind of price it is: one amount, or steps by what the basket measures. */
export const PriceKind = memo(function PriceKind({ price, onChange }: Props) {
  const isPhone = useWidth() === 'phone';
  if (price.kind !== 'flat' && price.kind !== 'tiers') return null;
  const choose = (kind: 'flat' | 'tiers'): void => {
    if (kind === 'flat' && price.kind === 'tiers') onChange(asFlat(price), null);
    if (kind === 'tiers' && price.kind === 'flat') onChange(asTiers(price.amount), null);
  };
  return (
    <View style={isPhone ? { gap: 8 } : { flexDirection: 'row', gap: 12 }}>
      <Segments width={isPhone ? undefined : 200} value={price.kind} onChange={choose} options={KINDS} />
      {price.kind === 'tiers' ? (
        <Segments
          width={isPhone ? undefined : 420}
          value={price.basis}
          onChange={(basis) => onChange(rebased(price, basis), null)}
          options={BASES}
        />
      ) : null}
    </View>
  );
});

/** A price's figures: one amount, or steps. */
export const PriceEditor = ({ price, onChange }: Props) => {
  const speech = useAppSelector(selectSpeech);
  if (price.kind === 'tiers') return <StepsTable price={price} onChange={onChange} />;
  if (price.kind !== 'flat') return null;
  return (
    <DraftField
      label="Charge for the order"
      right
      style={{ width: 180 }}
      text={moneyFigure(price.amount, speech.decimals)}
      read={readMoney(speech)}
      onChange={(amount, visit) => onChange({ ...price, amount }, visit)}
    />
  );
};
