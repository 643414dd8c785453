import { lazy, memo, type ComponentType } from 'react';
import { View } from 'react-native';
import { t } from '../../../core/translate/translate.ts';
import { asKind } from '../../../core/price/kinds.ts';
import type { Book } from '../../../core/model/book.ts';
import type { CarrierPrice, Measure, Price, StepsPrice } from '../../../core/model/price.ts';
import { rebased } from '../../../core/price/rebase.ts';
import { useKeptKinds } from '../../parts/use-kept-kinds.ts';
import { Segments } from '../../parts/segments.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { PerProductFields } from './per-product-fields.tsx';
import { Later } from '../../parts/later.tsx';
import { FlatFields } from './flat-fields.tsx';
import { PercentFields } from './percent-fields.tsx';
import { TableFields } from './table-fields.tsx';
import { useBookParts } from '../../state/use-book-parts.ts';
import { StepsEnd, type LimitsBeside } from './steps-end.tsx';
import { StepsTable } from './steps-table.tsx';

const CarrierFields = lazy(() => import('./carriers/carrier-fields.tsx'));

interface Props {
  price: Price;
  onChange: (price: Price, visit: string | null) => void;
  /** A delivery area's price: it can go by distance, and no carrier gives it. */
  nearby?: boolean;
}

const BASES: { value: Measure; label: string }[] = [
  { value: 'weight', label: t('Weight') },
  { value: 'subtotal', label: t('Subtotal') },
  { value: 'units', label: t('Units') },
  { value: 'volume', label: t('Volume') },
];

interface FieldsProps<P> extends LimitsBeside {
  price: P;
  onChange: (price: Price, visit: string | null) => void;
}

const StepsFields = ({ price, onChange, ...beside }: FieldsProps<StepsPrice>) => (
  <View style={{ gap: 8 }}>
    <StepsTable price={price} onChange={onChange} />
    <StepsEnd price={price} onChange={onChange} {...beside} />
  </View>
);

const CarrierPart = ({ price, onChange }: FieldsProps<CarrierPrice>) => (
  <Later>
    <CarrierFields price={price} onChange={onChange} />
  </Later>
);

/** What a kind of price is called, and its fields; how one begins where an amount is not enough for it. */
interface PricePart<P> {
  label: string;
  Fields: ComponentType<FieldsProps<P>>;
  first?: (book: Pick<Book, 'rateTables' | 'carriers'>) => P | null;
}

/** The parts of every kind of price, in the order in which they are offered. */
const PRICES: { readonly [K in Price['kind']]: PricePart<Extract<Price, { kind: K }>> } = {
  flat: { label: t('Flat'), Fields: FlatFields },
  steps: { label: t('Steps'), Fields: StepsFields },
  percent: { label: t('Percent'), Fields: PercentFields },
  'per-product': { label: t('Per product'), Fields: PerProductFields },
  table: {
    label: t('Table'),
    Fields: TableFields,
    first: ({ rateTables: [table] }) => (table ? { kind: 'table', tableId: table.id } : null),
  },
  carrier: {
    label: t('Carrier'),
    Fields: CarrierPart,
    // Nothing is offered until services are ticked, and nothing is charged by guess.
    first: ({ carriers: [account] }) =>
      account
        ? {
            kind: 'carrier',
            accountId: account.id,
            services: [],
            show: 'all',
            onError: 'withhold',
            onNone: 'withhold',
          }
        : null,
  },
};
const KINDS = Object.entries(PRICES).map(([value, { label }]) => ({ value: value as Price['kind'], label }));

/** What kind of price it is: one amount, steps, a percentage, or each good's own. */
export const PriceKind = memo(function PriceKind({ price, onChange, nearby = false }: Props) {
  const isPhone = useWidth() === 'phone';
  const kept = useKeptKinds<Price>(price);
  const lists = useBookParts('rateTables', 'carriers');
  const firstOf = (kind: Price['kind']): Price | null => {
    const { first } = PRICES[kind];
    return first ? first(lists) : asKind(price, kind, lists.rateTables);
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
    value === price.kind || (PRICES[value].first?.(lists) !== null && !(nearby && value === 'carrier'));
  return (
    <View style={isPhone ? { gap: 8 } : { flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
      <Segments
        label={t('Kind of price')}
        width={isPhone ? undefined : 660}
        value={price.kind}
        onChange={choose}
        options={KINDS.filter(can)}
      />
      {price.kind === 'steps' ? (
        <>
          <Segments
            label={t('Steps go by')}
            width={isPhone ? undefined : nearby ? 460 : 420}
            value={price.basis}
            onChange={(basis) => onChange(rebased(price, basis), null)}
            options={nearby ? [...BASES, { value: 'distance', label: t('Distance') }] : BASES}
          />
          <Segments
            label={t('Measured for')}
            width={isPhone ? undefined : 240}
            value={price.per}
            onChange={(per) => onChange({ ...price, per }, null)}
            options={[
              { value: 'order', label: t('the order') },
              { value: 'parcel', label: t('each parcel') },
            ]}
          />
        </>
      ) : null}
    </View>
  );
});

/** A price's figures. */
export const PriceEditor = memo(function PriceEditor(props: FieldsProps<Price>) {
  const Fields = PRICES[props.price.kind].Fields as unknown as ComponentType<FieldsProps<Price>>;
  return <Fields {...props} />;
});
