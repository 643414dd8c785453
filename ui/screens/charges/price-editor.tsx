import { memo } from 'react';
import { View } from 'react-native';
import { asKind, type ChosenKind } from '../../../core/price/price-kind.ts';
import type { Measure, Price } from '../../../core/model/price.ts';
import { rebased } from '../../../core/price/rebase.ts';
import { Segments } from '../../parts/segments.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { ByGoodsFields } from './by-goods-fields.tsx';
import { FlatFields } from './flat-fields.tsx';
import { PercentFields } from './percent-fields.tsx';
import { TableFields } from './table-fields.tsx';
import { selectBook } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { StepsTable } from './steps-table.tsx';

interface Props {
  price: Price;
  onChange: (price: Price, visit: string | null) => void;
}

const KINDS: { value: ChosenKind; label: string }[] = [
  { value: 'flat', label: 'Flat' },
  { value: 'tiers', label: 'Steps' },
  { value: 'percent', label: 'Percent' },
  { value: 'by-goods', label: 'Goods' },
  { value: 'table', label: 'Table' },
];
const BASES: { value: Measure; label: string }[] = [
  { value: 'weight', label: 'Weight' },
  { value: 'subtotal', label: 'Subtotal' },
  { value: 'units', label: 'Units' },
  { value: 'volume', label: 'Volume' },
];

const isChosen = (kind: Price['kind']): kind is ChosenKind => KINDS.some(({ value }) => value === kind);

/** What kind of price it is: one amount, steps, a percentage, or each good's own. */
export const PriceKind = memo(function PriceKind({ price, onChange }: Props) {
  const isPhone = useWidth() === 'phone';
  const [table] = useAppSelector(selectBook).rateTables;
  if (!isChosen(price.kind)) return null;
  const choose = (kind: ChosenKind): void => {
    if (kind !== 'table') onChange(asKind(price, kind), null);
    else if (table) onChange({ kind, tableId: table.id }, null);
  };
  return (
    <View style={isPhone ? { gap: 8 } : { flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
      <Segments
        width={isPhone ? undefined : 400}
        value={price.kind}
        onChange={choose}
        options={table ? KINDS : KINDS.filter(({ value }) => value !== 'table')}
      />
      {price.kind === 'tiers' ? (
        <>
          <Segments
            width={isPhone ? undefined : 420}
            value={price.basis}
            onChange={(basis) => onChange(rebased(price, basis), null)}
            options={BASES}
          />
          <Segments
            width={isPhone ? undefined : 240}
            value={price.per}
            onChange={(per) => onChange({ ...price, per }, null)}
            options={[
              { value: 'order', label: 'the order' },
              { value: 'parcel', label: 'each parcel' },
            ]}
          />
        </>
      ) : null}
    </View>
  );
});

/** A price's figures. */
export const PriceEditor = ({ price, onChange }: Props) => {
  switch (price.kind) {
    case 'tiers':
      return <StepsTable price={price} onChange={onChange} />;
    case 'flat':
      return <FlatFields price={price} onChange={onChange} />;
    case 'percent':
      return <PercentFields price={price} onChange={onChange} />;
    case 'by-goods':
      return <ByGoodsFields price={price} onChange={onChange} />;
    case 'table':
      return <TableFields price={price} onChange={onChange} />;
    default:
      return null;
  }
};
