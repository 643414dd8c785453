import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { spansText, withDay } from '../../core/formats/hours-typed.ts';
import { WEEKDAYS } from '../../core/words/weekdays.ts';
import type { OpeningHours } from '../../core/model/time.ts';
import { DayStrip } from '../parts/day-strip.tsx';
import { TextAction } from '../parts/text-action.tsx';
import { DraftField } from './draft-field.tsx';
import { readSpans } from './readers.ts';
import { Actions } from '../parts/actions.tsx';

interface Props {
  hours: readonly OpeningHours[];
  cutoff?: string | undefined;
  onChange: (hours: OpeningHours[], visit: string) => void;
  /** Whether these are the hours in which something is open, or offered. */
  hold?: 'open' | 'offered';
}

const row = { flexDirection: 'row', alignItems: 'center', gap: 12 } as const;

/** The hours of Monday on the days up to another. */
const mondayThrough = (hours: readonly OpeningHours[], last: OpeningHours['day']): OpeningHours[] => {
  const monday = hours.filter(({ day }) => day === 1).map(({ from, to }) => ({ from, to }));
  const days = WEEKDAYS.map((_, at) => (at + 1) as OpeningHours['day']).filter(
    (day) => day > 1 && day <= last,
  );
  return days.reduce<OpeningHours[]>((week, day) => withDay(week, day, monday), [...hours]);
};

/** A week of opening hours: each day typed in one line, and drawn beside it. */
export const WeekFields = ({ hours, cutoff, onChange, hold = 'open' }: Props) => (
  <View
    style={{ gap: 4 }}
    role="group"
    aria-label={hold === 'open' ? t('Opening hours') : t('Hours offered')}
  >
    {WEEKDAYS.map((name, at) => {
      const day = (at + 1) as OpeningHours['day'];
      return (
        <View style={row} key={name}>
          <Text style={{ width: 84 }}>{name}</Text>
          <DraftField
            hideLabel
            style={{ flex: 3, minWidth: 130 }}
            label={hold === 'open' ? t('Open on {day}', { day: name }) : t('Offered on {day}', { day: name })}
            placeholder={hold === 'open' ? t('closed') : t('not offered')}
            text={spansText(hours, day)}
            read={readSpans}
            onChange={(spans, visit) => onChange(withDay(hours, day, spans), visit)}
          />
          <View style={{ flex: 2 }}>
            <DayStrip spans={hours.filter((span) => span.day === day)} cutoff={cutoff} />
          </View>
        </View>
      );
    })}
    <Actions>
      {(
        [
          [t('Monday’s hours to Friday'), 5],
          [t('Monday’s hours every day'), 7],
        ] as const
      ).map(([label, last]) => (
        <TextAction
          key={label}
          label={label}
          disabled={!hours.some(({ day }) => day === 1)}
          onPress={() => onChange(mondayThrough(hours, last), label)}
        />
      ))}
    </Actions>
  </View>
);
