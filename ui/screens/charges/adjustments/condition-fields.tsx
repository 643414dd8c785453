import type { ComponentType } from 'react';
import { View } from 'react-native';
import { t } from '../../../../core/translate/translate.ts';
import type { Condition } from '../../../../core/model/adjustment.ts';
import type { Measure } from '../../../../core/model/price.ts';
import type { Weekday } from '../../../../core/model/unit.ts';
import { Check } from '../../../parts/check.tsx';
import { OptionalDateField, OptionalMeasureField, TokensField } from '../../../fields/kind-fields.tsx';
import { RegionList } from '../../../fields/region-list.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { NamedGoods } from './named-goods.tsx';

interface Props {
  condition: Condition;
  onChange: (condition: Condition, visit: string | null) => void;
}
type Of<T extends Condition['test']> = Extract<Condition, { test: T }>;
type PartProps<T extends Condition['test']> = Omit<Props, 'condition'> & { condition: Of<T> };

const MEASURES: { value: Measure; label: string }[] = [
  { value: 'subtotal', label: t('Subtotal') },
  { value: 'weight', label: t('Weight') },
  { value: 'units', label: t('Units') },
  { value: 'volume', label: t('Volume') },
  { value: 'distance', label: t('Distance') },
];
const DAYS = [t('Mon'), t('Tue'), t('Wed'), t('Thu'), t('Fri'), t('Sat'), t('Sun')];
const row = { flexDirection: 'row', flexWrap: 'wrap', gap: 12 } as const;
const field = { width: 148 } as const;

/** A condition with one of its optional fields put in, or taken out where it is undefined. */
const put = <C extends Condition>(condition: C, name: string, value: unknown): C => {
  const { [name as keyof C]: _, ...rest } = condition;
  return (value === undefined ? rest : { ...rest, [name]: value }) as C;
};

const MeasureFields = ({ condition, onChange }: PartProps<'measure'>) => {
  const { of } = condition;
  return (
    <View style={{ gap: 8 }}>
      <Segments
        label={t('Measure of the basket')}
        value={of}
        options={MEASURES}
        onChange={(next) => onChange({ test: 'measure', of: next }, null)}
      />
      <View style={row}>
        {(['min', 'max'] as const).map((end) => (
          <OptionalMeasureField
            key={`${of}-${end}`}
            right
            style={field}
            label={end === 'min' ? t('From') : t('Below')}
            placeholder={t('any')}
            value={condition[end]}
            measure={of}
            onChange={(value, visit) => onChange(put(condition, end, value), visit)}
          />
        ))}
      </View>
    </View>
  );
};

const GoodsFields = ({ condition, onChange }: PartProps<'goods'>) => (
  <View style={{ gap: 8 }}>
    <Segments
      label={t('The basket contains')}
      value={condition.match}
      options={[
        { value: 'any', label: t('some of these') },
        { value: 'every', label: t('only these') },
        { value: 'none', label: t('none of these') },
      ]}
      onChange={(match) => onChange({ ...condition, match }, null)}
    />
    <NamedGoods
      label={t('These products')}
      named={condition}
      onChange={(named) => onChange({ test: 'goods', match: condition.match, ...named }, null)}
    />
  </View>
);

const DestinationFields = ({ condition, onChange }: PartProps<'destination'>) => (
  <View>
    <RegionList
      label={condition.not ? t('Not in') : t('In')}
      none={t('no place yet')}
      regions={condition.in}
      onChange={(regions, visit) => onChange({ ...condition, in: regions }, visit)}
    />
    <Check
      label={t('Everywhere except these places')}
      on={condition.not === true}
      onPress={() => onChange(put(condition, 'not', condition.not ? undefined : true), null)}
    />
  </View>
);

const DatesFields = ({ condition, onChange }: PartProps<'dates'>) => (
  <View>
    <View style={row}>
      {(['from', 'to'] as const).map((end) => (
        <OptionalDateField
          key={end}
          style={field}
          label={end === 'from' ? t('First day') : t('Last day')}
          placeholder={t('any')}
          value={condition[end]}
          onChange={(value, visit) => onChange(put(condition, end, value), visit)}
        />
      ))}
    </View>
    <Check
      label={t('Every year: only month and day count')}
      on={condition.everyYear === true}
      onPress={() => onChange(put(condition, 'everyYear', condition.everyYear ? undefined : true), null)}
    />
  </View>
);

const WeekdayFields = ({ condition, onChange }: PartProps<'weekday'>) => (
  <View style={{ ...row, rowGap: 0 }}>
    {DAYS.map((name, at) => {
      const day = (at + 1) as Weekday;
      const isOn = condition.days.includes(day);
      const days = isOn ? condition.days.filter((one) => one !== day) : [...condition.days, day];
      return (
        <Check
          key={name}
          label={name}
          on={isOn}
          onPress={() => onChange({ ...condition, days: [...days].sort() }, null)}
        />
      );
    })}
  </View>
);

type Listed = Of<'customer' | 'code' | 'channel'>;

const listFields = <C extends Listed>(label: string) =>
  function ListFields({ condition, onChange }: { condition: C; onChange: Props['onChange'] }) {
    return (
      <TokensField
        prose
        label={label}
        value={condition.in}
        onChange={(tokens, visit) => onChange({ ...condition, in: tokens }, visit)}
      />
    );
  };

/** What a kind of condition is called, how one begins, and its fields. */
interface ConditionPart<T extends Condition['test']> {
  name: string;
  first: Of<T>;
  Fields: ComponentType<PartProps<T>>;
}

/** The parts of every kind of condition, in the order in which they are offered. */
export const CONDITIONS: { readonly [T in Condition['test']]: ConditionPart<T> } = {
  measure: {
    name: t('What the basket measures'),
    first: { test: 'measure', of: 'subtotal' },
    Fields: MeasureFields,
  },
  goods: { name: t('Which products'), first: { test: 'goods', match: 'any' }, Fields: GoodsFields },
  destination: {
    name: t('Where it goes'),
    first: { test: 'destination', in: [] },
    Fields: DestinationFields,
  },
  dates: { name: t('Dates'), first: { test: 'dates' }, Fields: DatesFields },
  weekday: { name: t('Days of the week'), first: { test: 'weekday', days: [] }, Fields: WeekdayFields },
  customer: {
    name: t('Who orders'),
    first: { test: 'customer', in: [] },
    Fields: listFields(t('Customer groups, separated by commas')),
  },
  code: {
    name: t('A code typed at checkout'),
    first: { test: 'code', in: [] },
    Fields: listFields(t('Codes typed at checkout, separated by commas')),
  },
  channel: {
    name: t('The channel'),
    first: { test: 'channel', in: [] },
    Fields: listFields(t('Channels, separated by commas')),
  },
};

/** The fields of one condition of an adjustment. */
export const ConditionFields = ({ condition, onChange }: Props) => {
  const Fields = CONDITIONS[condition.test].Fields as unknown as ComponentType<Props>;
  return <Fields condition={condition} onChange={onChange} />;
};
