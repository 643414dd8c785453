import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import type { OpeningHours, Timing } from '../../core/model/time.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { CountField, OptionalCountField, WordsField } from './kind-fields.tsx';
import { Segments } from '../parts/segments.tsx';
import { WeekFields } from './week-fields.tsx';

interface Props {
  timing: Timing;
  onChange: (timing: Timing, visit: string | null) => void;
  /** The hours that a new choice of days or slots begins with: the location's. */
  hours: readonly OpeningHours[];
}

type Chosen = Extract<Timing, { kind: 'day' | 'slot' }>;

const MEANING: Record<Timing['kind'], string> = {
  words: t('Customers read this message.'),
  days: t('Customers see an estimated date: open days after the order is ready; 0 is the same day.'),
  day: t('The customer chooses a day, within its hours.'),
  slot: t('The customer chooses a time: the hours are cut into slots.'),
};

const styles = (inks: Inks) => ({
  note: note(inks),
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 } as const,
  field: { width: 132 },
});

const asKind = (kind: Timing['kind'], timing: Timing, hours: readonly OpeningHours[]): Timing => {
  const chosen: Pick<Chosen, 'hours' | 'horizonDays'> =
    'hours' in timing
      ? { hours: timing.hours, horizonDays: timing.horizonDays }
      : { hours: [...hours], horizonDays: 7 };
  const capacity = 'capacity' in timing && timing.capacity !== undefined ? { capacity: timing.capacity } : {};
  switch (kind) {
    case 'words':
      return { kind, text: t('We write as soon as it is ready.') };
    case 'days':
      return { kind, min: 0, max: 1 };
    case 'day':
      return { kind, ...chosen, ...capacity };
    case 'slot':
      return { kind, ...chosen, ...capacity, minutes: 60 };
  }
};

const Count = ({
  label,
  value,
  most,
  least = 0,
  onChange,
}: {
  label: string;
  value: number;
  most: number;
  least?: number;
  onChange: (value: number, visit: string) => void;
}) => {
  const style = useStyles(styles);
  return (
    <CountField
      right
      style={style.field}
      label={label}
      value={value}
      least={least}
      most={most}
      onChange={onChange}
    />
  );
};

const ChosenFields = ({ timing, onChange }: { timing: Chosen; onChange: Props['onChange'] }) => {
  const style = useStyles(styles);
  const { capacity, horizonDays } = timing;
  return (
    <View style={{ gap: 8 }}>
      <View style={style.row}>
        {timing.kind === 'slot' ? (
          <Count
            label={t('Minutes per slot')}
            value={timing.minutes}
            least={5}
            most={1_440}
            onChange={(minutes, visit) => onChange({ ...timing, minutes }, visit)}
          />
        ) : null}
        <Count
          label={t('Days ahead at most')}
          value={horizonDays}
          most={366}
          onChange={(next, visit) => onChange({ ...timing, horizonDays: next }, visit)}
        />
        <OptionalCountField
          right
          style={style.field}
          label={timing.kind === 'slot' ? t('Orders per slot') : t('Orders per day')}
          placeholder={t('any number')}
          value={capacity}
          least={0}
          most={100_000}
          onChange={(next, visit) => {
            const { capacity: _, ...rest } = timing;
            onChange(next === undefined ? rest : { ...rest, capacity: next }, visit);
          }}
        />
      </View>
      <WeekFields
        hours={timing.hours}
        hold="offered"
        onChange={(hours, visit) => onChange({ ...timing, hours }, visit)}
      />
    </View>
  );
};

/** What the customer is told, or may choose, about time. */
export const TimingFields = ({ timing, onChange, hours }: Props) => {
  const style = useStyles(styles);
  return (
    <View style={{ gap: 8 }} role="group" aria-label={t('Time')}>
      <Segments<Timing['kind']>
        label={t('What customers see or pick')}
        value={timing.kind}
        onChange={(kind) => (kind === timing.kind ? undefined : onChange(asKind(kind, timing, hours), null))}
        options={[
          { value: 'words', label: t('Message') },
          { value: 'days', label: t('Date estimate') },
          { value: 'day', label: t('Customer picks a day') },
          { value: 'slot', label: t('Customer picks a slot') },
        ]}
      />
      <Text style={style.note}>{MEANING[timing.kind]}</Text>
      {timing.kind === 'words' ? (
        <WordsField
          prose
          label={t('Message about the time')}
          value={timing.text}
          most={300}
          onChange={(text, visit) => onChange({ kind: 'words', text }, visit)}
        />
      ) : null}
      {timing.kind === 'days' ? (
        <View style={style.row}>
          <Count
            label={t('At the earliest')}
            value={timing.min}
            most={365}
            onChange={(min, visit) => onChange({ ...timing, min, max: Math.max(min, timing.max) }, visit)}
          />
          <Count
            label={t('At the latest')}
            value={timing.max}
            most={365}
            onChange={(max, visit) => onChange({ ...timing, max, min: Math.min(max, timing.min) }, visit)}
          />
        </View>
      ) : null}
      {'hours' in timing ? <ChosenFields timing={timing} onChange={onChange} /> : null}
    </View>
  );
};
