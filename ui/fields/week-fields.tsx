import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { spansText, withDay } from '../../core/formats/hours-typed.ts';
import type { OpeningHours } from '../../core/model/time.ts';
import { DayStrip } from '../parts/day-strip.tsx';
import { DraftField } from './draft-field.tsx';
import { readSpans } from './readers.ts';

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
  </View>
);
