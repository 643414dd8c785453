import { View } from 'react-native';
import type { Effect } from '../../../../core/model/adjustment.ts';
import { moneyFigure } from '../../../../core/words/figure.ts';
import { Check } from '../../../parts/check.tsx';
import { DraftField } from '../../../parts/draft-field.tsx';
import { optional, readMoney, readPercent, readWords } from '../../../parts/readers.ts';
import { Segments } from '../../../parts/segments.tsx';
import { useWidth } from '../../../parts/use-width.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { NamedGoods } from './named-goods.tsx';

type Kind = Effect['do'];

interface Props {
  effect: Effect;
  onChange: (effect: Effect, visit: string | null) => void;
}
type PartProps<K extends Kind> = Omit<Props, 'effect'> & { effect: Extract<Effect, { do: K }> };

const KINDS: { value: Kind; label: string }[] = [
  { value: 'add', label: 'Add' },
  { value: 'percent', label: 'Percent' },
  { value: 'set', label: 'Set' },
  { value: 'free', label: 'Free' },
  { value: 'bounds', label: 'Bounds' },
  { value: 'withhold', label: 'Withhold' },
  { value: 'terms', label: 'Duties' },
];

/** Each kind of effect as it begins; none of them changes a charge until it is given a figure. */
const BEGIN: Record<Kind, Effect> = {
  add: { do: 'add', amount: 0, per: 'order' },
  percent: { do: 'percent', points: 0, of: 'charge' },
  set: { do: 'set', amount: 0 },
  free: { do: 'free' },
  bounds: { do: 'bounds' },
  withhold: { do: 'withhold' },
  terms: { do: 'terms', terms: 'DAP' },
};

const row = { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const;
const field = { width: 132 } as const;
const MORE_OR_LESS = [
  { value: 'more', label: 'more' },
  { value: 'less', label: 'less' },
] as const;

const AddFields = ({ effect, onChange }: PartProps<'add'>) => {
  const display = useAppSelector(selectDisplayFormat);
  const { amount, per, goods } = effect;
  const sign = amount < 0 ? -1 : 1;
  return (
    <View style={{ gap: 8 }}>
      <View style={row}>
        <DraftField
          right
          style={field}
          label="Amount"
          text={moneyFigure(Math.abs(amount), display.decimals)}
          read={readMoney(display)}
          onChange={(value, visit) => onChange({ ...effect, amount: sign * value }, visit)}
        />
        <Segments
          width={140}
          value={sign < 0 ? 'less' : 'more'}
          options={MORE_OR_LESS}
          onChange={(way) =>
            onChange({ ...effect, amount: (way === 'less' ? -1 : 1) * Math.abs(amount) }, null)
          }
        />
      </View>
      <Segments
        value={per}
        options={[
          { value: 'order', label: 'an order' },
          { value: 'parcel', label: 'a parcel' },
          { value: 'unit', label: 'a unit' },
          { value: 'line', label: 'a line' },
        ]}
        onChange={(next) => onChange({ ...effect, per: next }, null)}
      />
      <Check
        label="Counts only some goods"
        on={goods !== undefined}
        onPress={() => onChange(goods ? { do: 'add', amount, per } : { ...effect, goods: {} }, null)}
      />
      {goods ? (
        <NamedGoods
          label="Goods that count"
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
      <DraftField
        right
        style={field}
        label="%"
        text={String(Math.abs(points) / 100)}
        read={readPercent}
        onChange={(value, visit) => onChange({ ...effect, points: sign * value }, visit)}
      />
      <Segments
        width={140}
        value={sign < 0 ? 'less' : 'more'}
        options={MORE_OR_LESS}
        onChange={(way) =>
          onChange({ ...effect, points: (way === 'less' ? -1 : 1) * Math.abs(points) }, null)
        }
      />
      <Segments
        width={220}
        value={of}
        options={[
          { value: 'charge', label: 'of the charge' },
          { value: 'subtotal', label: 'of the goods' },
        ]}
        onChange={(next) => onChange({ ...effect, of: next }, null)}
      />
    </View>
  );
};

const BoundsFields = ({ effect, onChange }: PartProps<'bounds'>) => {
  const display = useAppSelector(selectDisplayFormat);
  return (
    <View style={row}>
      {(['min', 'max'] as const).map((end) => (
        <DraftField
          key={end}
          right
          style={field}
          label={end === 'min' ? 'At least' : 'At most'}
          placeholder="none"
          text={effect[end] === undefined ? '' : moneyFigure(effect[end], display.decimals)}
          read={optional<number>(readMoney(display))}
          onChange={(value, visit) => {
            const { [end]: _, ...rest } = effect;
            onChange(value === undefined ? rest : { ...rest, [end]: value }, visit);
          }}
        />
      ))}
    </View>
  );
};

const Figures = ({ effect, onChange }: Props) => {
  const display = useAppSelector(selectDisplayFormat);
  switch (effect.do) {
    case 'add':
      return <AddFields effect={effect} onChange={onChange} />;
    case 'percent':
      return <PercentFields effect={effect} onChange={onChange} />;
    case 'bounds':
      return <BoundsFields effect={effect} onChange={onChange} />;
    case 'set':
      return (
        <DraftField
          right
          style={field}
          label="The charge becomes"
          text={moneyFigure(effect.amount, display.decimals)}
          read={readMoney(display)}
          onChange={(amount, visit) => onChange({ do: 'set', amount }, visit)}
        />
      );
    case 'withhold':
      return (
        <DraftField
          prose
          label="What the customer is told"
          placeholder="nothing"
          text={effect.message ?? ''}
          read={readWords(2_000)}
          onChange={(message, visit) =>
            onChange(message === '' ? { do: 'withhold' } : { do: 'withhold', message }, visit)
          }
        />
      );
    case 'terms':
      return (
        <Segments
          value={effect.terms}
          options={[
            { value: 'DAP', label: 'DAP, on arrival' },
            { value: 'DDP', label: 'DDP, prepaid' },
            { value: 'both', label: 'both' },
          ]}
          onChange={(terms) => onChange({ do: 'terms', terms }, null)}
        />
      );
    default:
      return null;
  }
};

/** What an adjustment does to a charge. */
export const EffectFields = ({ effect, onChange }: Props) => {
  const isPhone = useWidth() === 'phone';
  const choose = (kind: Kind): void => onChange(BEGIN[kind], null);
  const parts = isPhone ? [KINDS.slice(0, 4), KINDS.slice(4)] : [KINDS];
  return (
    <View style={{ gap: 8 }}>
      {parts.map((options) => (
        <Segments key={options[0]?.value} value={effect.do} options={options} onChange={choose} />
      ))}
      <Figures effect={effect} onChange={onChange} />
    </View>
  );
};
