import { lazy, memo } from 'react';
import { View } from 'react-native';
import { asKind } from '../../../core/price/kinds.ts';
import type { Measure, Price } from '../../../core/model/price.ts';
import { rebased } from '../../../core/price/rebase.ts';
import { useKeptKinds } from '../../parts/use-kept-kinds.ts';
import { Segments } from '../../parts/segments.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { PerProductFields } from './per-product-fields.tsx';
import { Later } from '../../shell/later.tsx';
import { FlatFields } from './flat-fields.tsx';
import { PercentFields } from './percent-fields.tsx';
import { TableFields } from './table-fields.tsx';
import { selectBook } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { StepsEnd, type LimitsBeside } from './steps-end.tsx';
import { StepsTable } from './steps-table.tsx';

const CarrierFields = lazy(() => import('./carriers/carrier-fields.tsx'));

interface Props {
  price: Price;
  onChange: (price: Price, visit: string | null) => void;
  /** A delivery area's price: it can go by distance, and no carrier gives it. */
  nearby?: boolean;
}

const KINDS: { value: Price['kind']; label: string }[] = [
  { value: 'flat', label: 'Flat' },
  { value: 'steps', label: 'Steps' },
  { value: 'percent', label: 'Percent' },
  { value: 'per-product', label: 'Goods' },
  { value: 'table', label: 'Table' },
  { value: 'carrier', label: 'Carrier' },
];
const BASES: { value: Measure; label: string }[] = [
  { value: 'weight', label: 'Weight' },
  { value: 'subtotal', label: 'Subtotal' },
  { value: 'units', label: 'Units' },
  { value: 'volume', label: 'Volume' },
];

/** A carrier's price to begin with: nothing is offered until services are ticked, and nothing is charged by guess. */
const firstCarrierPrice = (accountId: string): Price => ({
  kind: 'carrier',
  accountId,
  services: [],
  show: 'all',
  onError: 'withhold',
  onNone: 'withhold',
});

/** What kind of price it is: one amount, steps, a percentage, or each good's own. */
export const PriceKind = memo(function PriceKind({ price, onChange, nearby = false }: Props) {
  const isPhone = useWidth() === 'phone';
  const kept = useKeptKinds<Price>(price);
  const { rateTables, carriers } = useAppSelector(selectBook);
  const [[table], [account]] = [rateTables, carriers];
  const firstOf = (kind: Price['kind']): Price | null => {
    if (kind === 'table') return table ? { kind, tableId: table.id } : null;
    if (kind === 'carrier') return account ? firstCarrierPrice(account.id) : null;
    return asKind(price, kind, rateTables);
  };
  const choose = (kind: Price['kind']): void => {
    const first = kind === price.kind ? null : firstOf(kind);
    if (first)
      onChange(
        kept(kind, () => first as never),
        null,
      );
  };
  const can = ({ value }: { value: Price['kind'] }): boolean =>
    (value !== 'table' || table !== undefined) && (value !== 'carrier' || (account !== undefined && !nearby));
  return (
    <View style={isPhone ? { gap: 8 } : { flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
      <Segments
        width={isPhone ? undefined : 540}
        value={price.kind}
        onChange={choose}
        options={KINDS.filter(can)}
      />
      {price.kind === 'steps' ? (
        <>
          <Segments
            width={isPhone ? undefined : nearby ? 460 : 420}
            value={price.basis}
            onChange={(basis) => onChange(rebased(price, basis), null)}
            options={nearby ? [...BASES, { value: 'distance', label: 'Distance' }] : BASES}
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
export const PriceEditor = ({ price, onChange, ...beside }: Omit<Props, 'nearby'> & LimitsBeside) => {
  switch (price.kind) {
    case 'steps':
      return (
        <View style={{ gap: 8 }}>
          <StepsTable price={price} onChange={onChange} />
          <StepsEnd price={price} onChange={onChange} {...beside} />
        </View>
      );
    case 'flat':
      return <FlatFields price={price} onChange={onChange} />;
    case 'percent':
      return <PercentFields price={price} onChange={onChange} />;
    case 'per-product':
      return <PerProductFields price={price} onChange={onChange} />;
    case 'table':
      return <TableFields price={price} onChange={onChange} />;
    case 'carrier':
      return (
        <Later>
          <CarrierFields price={price} onChange={onChange} />
        </Later>
      );
  }
};
