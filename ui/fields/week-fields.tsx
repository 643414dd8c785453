import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { spansText, withDay } from '../../core/formats/hours-typed.ts';
import type { OpeningHours } from '../../core/model/time.ts';
import { DayStrip } from '../parts/day-strip.tsx';
import { TextAction } from '../parts/text-action.tsx';
import { DraftField } from './draft-field.tsx';
import { readSpans } from './readers.ts';
import { Actions } from '../parts/actions.tsx';

/** The days of the week, Monday first. */
export const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

interface Props {
  hours: readonly OpeningHours[];
  cutoff?: string | undefined;
  onChange: (hours: OpeningHours[], visit: string) => void;
  /** What holds in these hours. */
  verb?: 'Open on' | 'Offered on';
}

const row = { flexDirection: 'row', alignItems: 'center', gap: 12 } as const;

/** The hours of Monday on the days up to another. */
const mondayThrough = (hours: readonly OpeningHours[], last: OpeningHours['day']): OpeningHours[] => {
  const monday = hours.filter(({ day }) => day === 1).map(({ from, to }) => ({ from, to }));
  const days = DAYS.map((_, at) => (at + 1) as OpeningHours['day']).filter((day) => day > 1 && day <= last);
  return days.reduce<OpeningHours[]>((week, day) => withDay(week, day, monday), [...hours]);
};

/** A week of opening hours: each day typed in one line, and drawn beside it. */
export const WeekFields = ({ hours, cutoff, onChange, verb = 'Open on' }: Props) => (
  <View style={{ gap: 4 }} role="group" aria-label={verb === 'Open on' ? 'Opening hours' : 'Hours offered'}>
    {DAYS.map((name, at) => {
      const day = (at + 1) as OpeningHours['day'];
      return (
        <View style={row} key={name}>
          <Text style={{ width: 84 }}>{name}</Text>
          <DraftField
            hideLabel
            style={{ flex: 3, minWidth: 130 }}
            label={`${verb} ${name}`}
            placeholder={verb === 'Open on' ? 'closed' : 'not offered'}
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
          ['Monday’s hours to Friday', 5],
          ['Monday’s hours every day', 7],
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
