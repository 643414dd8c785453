import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Each, Measure, Step } from '../../../core/model/price.ts';
import { ROUND_FIGURE } from '../../../core/price/next-step.ts';
import { measureFigure, moneyFigure, percentFigure, type DisplayFormat } from '../../../core/words/figure.ts';
import { OptionalPercentField } from '../../fields/kind-fields.tsx';
import { DraftField } from '../../fields/draft-field.tsx';
import { optional, readMoney, readSizeOf } from '../../fields/readers.ts';
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

const withoutEach = ({ each: _, ...rest }: Step): Step => rest;
const withoutPercent = ({ percent: _, ...rest }: Step): Step => rest;

/** What a step adds for what lies above it, and its share of the subtotal, in words. */
const extrasWords = ({ each, percent }: Step, basis: Measure, display: DisplayFormat): string => {
  return [
    ...(each
      ? [
          t('plus {amount} for each {count, select, started {started } other {}}{figure} above', {
            amount: moneyFigure(each.amount, display.decimals),
            count: each.count,
            figure: measureFigure(basis, each.size, display),
          }),
        ]
      : []),
    ...(percent === undefined
      ? []
      : [t('plus {percent} of the subtotal', { percent: percentFigure(percent) })]),
  ].join(', ');
};

const ExtrasFields = ({ step, basis, name, onChange }: Omit<Props, 'open'>) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const { each, percent } = step;
  const size = each?.size ?? ROUND_FIGURE[display.units][basis];
  const setEach = (changes: Partial<Each>, visit: string | null): void =>
    onChange({ ...step, each: { size, amount: 0, count: 'started', ...each, ...changes } }, visit);
  return (
    <View style={style.fields}>
      <View style={style.row}>
        <DraftField
          right
          style={style.field}
          label={t('Plus')}
          placeholder={t('nothing')}
          text={each ? moneyFigure(each.amount, display.decimals) : ''}
          inputMode="decimal"
          read={optional<number>(readMoney(display))}
          onChange={(amount, visit) =>
            amount === undefined ? onChange(withoutEach(step), visit) : setEach({ amount }, visit)
          }
        />
        <DraftField
          style={style.field}
          label={t('for each, above {name}', { name })}
          text={measureFigure(basis, size, display)}
          read={readSizeOf(basis, display)}
          onChange={(next, visit) => setEach({ size: next }, visit)}
        />
        <OptionalPercentField
          right
          style={style.field}
          label={t('% of subtotal')}
          placeholder="0"
          value={percent}
          onChange={(points, visit) =>
            onChange(points === undefined ? withoutPercent(step) : { ...step, percent: points }, visit)
          }
        />
      </View>
      {each ? (
        <Segments
          label={t('Part of a unit')}
          value={each.count}
          onChange={(count) => setEach({ count }, null)}
          options={[
            { value: 'started', label: t('Round up to whole units') },
            { value: 'exact', label: t('In proportion') },
          ]}
        />
      ) : null}
    </View>
  );
};

/** What a step adds for what lies above it, and its share of the subtotal: a line when folded, fields when open. */
export const StepExtras = ({ open, ...props }: Props) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  return open ? (
    <ExtrasFields {...props} />
  ) : (
    <Text style={style.note}>{extrasWords(props.step, props.basis, display)}</Text>
  );
};
