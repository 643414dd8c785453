import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Each, Measure, Step } from '../../../core/model/price.ts';
import { measureFigure, moneyFigure, percentFigure } from '../../../core/words/figure.ts';
import { OptionalPercentField } from '../../fields/kind-fields.tsx';
import { DraftField, type Read } from '../../fields/draft-field.tsx';
import { optional, readMeasure, readMoney } from '../../fields/readers.ts';
import { Segments } from '../../parts/segments.tsx';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';

interface Props {
  step: Step;
  basis: Measure;
  name: string;
  open: boolean;
  onChange: (step: Step, visit: string | null) => void;
}

const styles = (inks: Inks) => ({
  fields: { gap: 8, paddingTop: 8, paddingBottom: 4 },
  row: { flexDirection: 'row', gap: 8 } as const,
  field: { flex: 1, minWidth: 0 },
  note: note(inks),
});

const ONE: Record<Measure, number> = {
  weight: 1_000,
  subtotal: 1_000,
  units: 1,
  volume: 1_000_000,
  distance: 1_000,
};

const withoutEach = ({ each: _, ...rest }: Step): Step => rest;
const withoutPercent = ({ percent: _, ...rest }: Step): Step => rest;

/** What a step adds for what lies above it, and its share of the subtotal: a line when folded, fields when open. */
export const StepExtras = ({ step, basis, name, open, onChange }: Props) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const { each, percent } = step;
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  if (!open) {
    const words = [
      ...(each
        ? [
            `plus ${money(each.amount)} for each ${each.count === 'started' ? 'started ' : ''}${measureFigure(basis, each.size, display)} above`,
          ]
        : []),
      ...(percent === undefined ? [] : [`plus ${percentFigure(percent)} of the subtotal`]),
    ];
    return <Text style={style.note}>{words.join(', ')}</Text>;
  }
  const setEach = (changes: Partial<Each>, visit: string | null): void =>
    onChange(
      { ...step, each: { size: ONE[basis], amount: 0, count: 'started', ...each, ...changes } },
      visit,
    );
  const readSize = (text: string): Read<number> => {
    const size = readMeasure(basis, display)(text);
    return size.ok && size.value === 0 ? { ok: false, text: 'This must be more than 0.' } : size;
  };
  return (
    <View style={style.fields}>
      <View style={style.row}>
        <DraftField
          right
          style={style.field}
          label="Plus"
          placeholder="nothing"
          text={each ? money(each.amount) : ''}
          inputMode="decimal"
          read={optional<number>(readMoney(display))}
          onChange={(amount, visit) =>
            amount === undefined ? onChange(withoutEach(step), visit) : setEach({ amount }, visit)
          }
        />
        <DraftField
          style={style.field}
          label={`for each, above ${name}`}
          text={measureFigure(basis, each?.size ?? ONE[basis], display)}
          read={readSize}
          onChange={(size, visit) => setEach({ size }, visit)}
        />
        <OptionalPercentField
          right
          style={style.field}
          label="% of subtotal"
          placeholder="0"
          value={percent}
          onChange={(points, visit) =>
            onChange(points === undefined ? withoutPercent(step) : { ...step, percent: points }, visit)
          }
        />
      </View>
      {each ? (
        <Segments
          label="Part of a unit"
          value={each.count}
          onChange={(count) => setEach({ count }, null)}
          options={[
            { value: 'started', label: 'Round up to whole units' },
            { value: 'exact', label: 'In proportion' },
          ]}
        />
      ) : null}
    </View>
  );
};
