import type { ComponentType } from 'react';
import { View } from 'react-native';
import { t } from '../../../../core/translate/translate.ts';
import type { Effect } from '../../../../core/model/adjustment.ts';
import { Check } from '../../../parts/check.tsx';
import { MoneyField, OptionalMoneyField, PercentField, WordsField } from '../../../fields/kind-fields.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { NamedGoods } from './named-goods.tsx';

type Kind = Effect['do'];

interface Props {
  effect: Effect;
  onChange: (effect: Effect, visit: string | null) => void;
}
type PartProps<K extends Kind> = Omit<Props, 'effect'> & { effect: Extract<Effect, { do: K }> };

const row = { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const;
const field = { width: 132 } as const;
const MORE_OR_LESS = [
  { value: 'more', label: t('more') },
  { value: 'less', label: t('less') },
] as const;

const AddFields = ({ effect, onChange }: PartProps<'add'>) => {
  const { amount, per, goods } = effect;
  const sign = amount < 0 ? -1 : 1;
  return (
    <View style={{ gap: 8 }}>
      <View style={row}>
        <MoneyField
          right
          style={field}
          label={t('Amount')}
          value={Math.abs(amount)}
          onChange={(value, visit) => onChange({ ...effect, amount: sign * value }, visit)}
        />
        <Segments
          label={t('More or less')}
          width={140}
          value={sign < 0 ? 'less' : 'more'}
          options={MORE_OR_LESS}
          onChange={(way) =>
            onChange({ ...effect, amount: (way === 'less' ? -1 : 1) * Math.abs(amount) }, null)
          }
        />
      </View>
      <Segments
        label={t('For each')}
        value={per}
        options={[
          { value: 'order', label: t('order') },
          { value: 'parcel', label: t('parcel') },
          { value: 'unit', label: t('unit') },
          { value: 'line', label: t('order line') },
        ]}
        onChange={(next) => onChange({ ...effect, per: next }, null)}
      />
      <Check
        label={t('Only for some products')}
        on={goods !== undefined}
        onPress={() => onChange(goods ? { do: 'add', amount, per } : { ...effect, goods: {} }, null)}
      />
      {goods ? (
        <NamedGoods
          label={t('Products that count')}
          named={goods}
          onChange={(next) => onChange({ ...effect, goods: next }, null)}
        />
      ) : null}
    </View>
  );
};

const PercentFields = ({ effect, onChange }: PartProps<'percent'>) => {
  const { points, of } = effect;
  const sign = points < 0 ? -1 : 1;
  return (
    <View style={row}>
      <PercentField
        right
        style={field}
        label="%"
        value={Math.abs(points)}
        onChange={(value, visit) => onChange({ ...effect, points: sign * value }, visit)}
      />
      <Segments
        label={t('More or less')}
        width={140}
        value={sign < 0 ? 'less' : 'more'}
        options={MORE_OR_LESS}
        onChange={(way) =>
          onChange({ ...effect, points: (way === 'less' ? -1 : 1) * Math.abs(points) }, null)
        }
      />
      <Segments
        label={t('Percentage of')}
        width={220}
        value={of}
        options={[
          { value: 'charge', label: t('the charge') },
          { value: 'subtotal', label: t('the products') },
        ]}
        onChange={(next) => onChange({ ...effect, of: next }, null)}
      />
    </View>
  );
};

const BoundsFields = ({ effect, onChange }: PartProps<'bounds'>) => {
  return (
    <View style={row}>
      {(['min', 'max'] as const).map((end) => (
        <OptionalMoneyField
          key={end}
          right
          style={field}
          label={end === 'min' ? t('At least') : t('At most')}
          placeholder={t('none')}
          value={effect[end]}
          onChange={(value, visit) => {
            const { [end]: _, ...rest } = effect;
            onChange(value === undefined ? rest : { ...rest, [end]: value }, visit);
          }}
        />
      ))}
    </View>
  );
};

const SetFields = ({ effect, onChange }: PartProps<'set'>) => (
  <MoneyField
    right
    style={field}
    label={t('The charge becomes')}
    value={effect.amount}
    onChange={(amount, visit) => onChange({ do: 'set', amount }, visit)}
  />
);

const WithholdFields = ({ effect, onChange }: PartProps<'withhold'>) => (
  <WordsField
    prose
    label={t('What the customer is told')}
    placeholder={t('nothing')}
    value={effect.message ?? ''}
    most={2_000}
    onChange={(message, visit) =>
      onChange(message === '' ? { do: 'withhold' } : { do: 'withhold', message }, visit)
    }
  />
);

const TermsFields = ({ effect, onChange }: PartProps<'terms'>) => (
  <Segments
    label={t('Who pays import charges')}
    value={effect.terms}
    options={[
      { value: 'DAP', label: t('DAP, on arrival') },
      { value: 'DDP', label: t('DDP, prepaid') },
      { value: 'both', label: t('customer chooses') },
    ]}
    onChange={(terms) => onChange({ do: 'terms', terms }, null)}
  />
);

/** What a kind of effect is called, how one begins, and its fields, if it has any. */
interface EffectPart<K extends Kind> {
  label: string;
  first: Extract<Effect, { do: K }>;
  Fields: ComponentType<PartProps<K>> | null;
}

/** The parts of every kind of effect; none of them changes a charge until it is given a figure. */
const EFFECTS: { readonly [K in Kind]: EffectPart<K> } = {
  add: { label: t('Add'), first: { do: 'add', amount: 0, per: 'order' }, Fields: AddFields },
  percent: { label: t('Percent'), first: { do: 'percent', points: 0, of: 'charge' }, Fields: PercentFields },
  set: { label: t('Set'), first: { do: 'set', amount: 0 }, Fields: SetFields },
  free: { label: t('Free'), first: { do: 'free' }, Fields: null },
  bounds: { label: t('Min and max'), first: { do: 'bounds' }, Fields: BoundsFields },
  withhold: { label: t('Do not offer'), first: { do: 'withhold' }, Fields: WithholdFields },
  terms: { label: t('Duties'), first: { do: 'terms', terms: 'DAP' }, Fields: TermsFields },
};
const KINDS = Object.entries(EFFECTS).map(([value, { label }]) => ({ value: value as Kind, label }));

/** What an adjustment does to a charge. */
export const EffectFields = ({ effect, onChange }: Props) => {
  const Fields = EFFECTS[effect.do].Fields as unknown as ComponentType<Props> | null;
  return (
    <View style={{ gap: 8 }}>
      <Segments
        hideLabel
        label={t('What the adjustment does')}
        value={effect.do}
        options={KINDS}
        onChange={(kind) => onChange(EFFECTS[kind].first, null)}
      />
      {Fields ? <Fields effect={effect} onChange={onChange} /> : null}
    </View>
  );
};
