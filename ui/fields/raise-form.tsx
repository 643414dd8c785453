import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm } from 'react-hook-form';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { z } from 'zod';
import { t } from '../../core/translate/translate.ts';
import { typedMoney, typedPercent } from '../../core/formats/typed.ts';
import type { Raise } from '../../core/price/raise.ts';
import { moneyFigure, type DisplayFormat } from '../../core/words/figure.ts';
import { fieldMark } from './readers.ts';
import { FormField } from './form-field.tsx';
import { Segments } from '../parts/segments.tsx';
import { visitBegan } from '../state/draft.ts';
import { undoMessage } from '../state/session.ts';
import { selectDisplayFormat } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { figure, note } from '../theme/text.ts';
import { FINGER, type Inks } from '../theme/tokens.ts';

interface Props {
  /** What is changed, with its number: '3 rates'. */
  what: string;
  disabled: boolean;
  /** Makes the change, which `label` describes for undo. */
  onRaise: (raise: Raise, label: string) => void;
}

const styles = (inks: Inks) => ({
  all: { gap: 10 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  input: { height: FINGER, width: 120 },
  note: note(inks),
});

interface Values {
  kind: 'percent' | 'amount';
  by: string;
  to: string;
  mode: 'nearest' | 'up';
}

const signed = (text: string): { sign: 1 | -1; bare: string } => {
  const trimmed = text.trim().replace('−', '-');
  return trimmed.startsWith('-')
    ? { sign: -1, bare: trimmed.slice(1) }
    : { sign: 1, bare: trimmed.replace(/^\+/, '') };
};

/** The raise that the form's texts say, or null. */
const raiseOf = ({ kind, by, to, mode }: Values, display: DisplayFormat): Raise | null => {
  const { sign, bare } = signed(by);
  const typed =
    kind === 'percent' ? typedPercent(bare, fieldMark) : typedMoney(bare, display.decimals, fieldMark);
  const step = to.trim() === '' ? null : typedMoney(to, display.decimals, fieldMark);
  if (!typed.ok || typed.value === 0 || (step && (!step.ok || step.value === 0))) return null;
  const value = sign * typed.value;
  return {
    by: kind === 'percent' ? { kind, points: value } : { kind, amount: value },
    rounding: step?.ok ? { to: step.value, mode } : null,
  };
};

const schemaOf = (display: DisplayFormat) =>
  z
    .object({
      kind: z.enum(['percent', 'amount']),
      by: z.string(),
      to: z.string(),
      mode: z.enum(['nearest', 'up']),
    })
    .refine((values) => raiseOf({ ...values, to: '' }, display) !== null, {
      path: ['by'],
      error: t('Write by how much, such as 5 or -2.5.'),
    })
    .refine((values) => raiseOf({ ...values, by: '1' }, display) !== null, {
      path: ['to'],
      error: t('Write what to round to, such as 0.05.'),
    });

const KINDS = [
  { value: 'percent', label: t('a percentage') },
  { value: 'amount', label: t('an amount') },
];
const ROUNDINGS = [
  { value: 'nearest', label: t('nearest') },
  { value: 'up', label: t('upwards') },
];

/** What the form begins with. */
const startOf = ({ decimals }: DisplayFormat): Values => ({
  kind: 'percent',
  by: '',
  to: moneyFigure(decimals > 0 ? 5 : 1, decimals),
  mode: 'nearest',
});

/** Raises or lowers many amounts at once, with a rounding. */
const RaiseForm = ({ what, disabled, onRaise }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const display = useAppSelector(selectDisplayFormat);
  const { control, handleSubmit, watch } = useForm<Values>({
    resolver: zodResolver(schemaOf(display)),
    defaultValues: startOf(display),
  });
  const submit = handleSubmit((values) => {
    const raise = raiseOf(values, display);
    if (!raise) return;
    const by = values.kind === 'percent' ? `${values.by.trim()} %` : values.by.trim();
    const label = t('{what} changed by {by}', { what, by });
    dispatch(visitBegan());
    onRaise(raise, label);
    dispatch(undoMessage(`${label}.`));
  });
  const field = (name: 'by' | 'to', label: string) => (
    <FormField
      control={control}
      name={name}
      label={label}
      onSubmit={() => void submit()}
      style={style.input}
      contentStyle={{ ...figure, lineHeight: 22, paddingHorizontal: 8, textAlign: 'right' }}
    />
  );
  const choice = (name: 'kind' | 'mode', label: string, buttons: { value: string; label: string }[]) => (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange } }) => (
        <Segments width={220} label={label} value={value} onChange={onChange} options={buttons} />
      )}
    />
  );
  return (
    <View style={style.all} role="group" aria-label={t('Raise or lower')}>
      <View style={style.row}>
        {field('by', watch('kind') === 'percent' ? t('By how many %') : t('By how much'))}
        {choice('kind', t('Change by'), KINDS)}
      </View>
      <View style={style.row}>
        {field('to', t('Rounded to'))}
        {choice('mode', t('Rounding'), ROUNDINGS)}
      </View>
      <Text style={style.note}>{t('A minus lowers. A price of 0 stays 0, and no other becomes 0.')}</Text>
      <Button
        mode="outlined"
        disabled={disabled}
        onPress={() => void submit()}
        style={{ alignSelf: 'flex-start', borderRadius: 2 }}
      >
        {t('Change {what}', { what })}
      </Button>
    </View>
  );
};

export default RaiseForm;
