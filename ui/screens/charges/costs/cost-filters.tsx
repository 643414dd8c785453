import { View } from 'react-native';
import { t } from '../../../../core/translate/translate.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import { OptionalMeasureField } from '../../../fields/kind-fields.tsx';
import { Chooser } from '../../../parts/chooser.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { useBookParts } from '../../../state/use-book-parts.ts';

/** What is chosen above the figures; days are counted back from now. */
export interface CostFilters {
  days: '365' | '90' | '30';
  minWeight?: number | undefined;
  maxWeight?: number | undefined;
  groupId?: string | undefined;
}

const DAY_MS = 86_400_000;

/** The same as the worker is asked, with the moment the period begins. */
export const filterOf = ({ days, minWeight, maxWeight, groupId }: CostFilters, now: number): OrderFilter => ({
  from: new Date(now - Number(days) * DAY_MS).toISOString(),
  ...(minWeight === undefined ? {} : { minWeight }),
  ...(maxWeight === undefined ? {} : { maxWeight }),
  ...(groupId === undefined ? {} : { groupId }),
});

const row = {
  flexDirection: 'row',
  flexWrap: 'wrap',
  gap: 12,
  alignItems: 'flex-end',
  paddingVertical: 12,
} as const;
const weights = { flexDirection: 'row', gap: 12, flexGrow: 1, flexBasis: 200, maxWidth: 260 } as const;
const period = { flexGrow: 1, flexBasis: 270, maxWidth: 360 } as const;
const half = { flex: 1 } as const;
const ANY = { id: '', name: t('Any product'), note: '' };

/** Which orders are counted: how far back, of what weight, with products of which handling group. */
export const CostFiltersRow = ({
  value,
  onChange,
}: {
  value: CostFilters;
  onChange: (value: CostFilters) => void;
}) => {
  const { groups } = useBookParts('groups');
  const options = [ANY, ...groups.map(({ id, name }) => ({ id, name, note: '' }))];
  return (
    <View style={row} role="group" aria-label={t('Which orders are counted')}>
      <View style={period}>
        <Segments
          label={t('Placed in the last')}
          value={value.days}
          options={[
            { value: '365', label: t('12 months') },
            { value: '90', label: t('90 days') },
            { value: '30', label: t('30 days') },
          ]}
          onChange={(days) => onChange({ ...value, days })}
        />
      </View>
      <View style={weights}>
        <OptionalMeasureField
          right
          style={half}
          label={t('Weight from')}
          measure="weight"
          placeholder={t('any')}
          value={value.minWeight}
          onChange={(minWeight) => onChange({ ...value, minWeight })}
        />
        <OptionalMeasureField
          right
          style={half}
          label={t('Weight to')}
          measure="weight"
          placeholder={t('any')}
          value={value.maxWeight}
          onChange={(maxWeight) => onChange({ ...value, maxWeight })}
        />
      </View>
      {groups.length === 0 ? null : (
        <View style={{ flexDirection: 'row', flexGrow: 1, flexBasis: 160, maxWidth: 240 }}>
          <Chooser
            label={t('With products of')}
            chosen={options.find(({ id }) => id === (value.groupId ?? ''))?.name ?? ''}
            options={options}
            onChoose={(id) => onChange({ ...value, groupId: id === '' ? undefined : id })}
          />
        </View>
      )}
    </View>
  );
};
