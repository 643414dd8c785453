import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { dateOf, dayOf } from '../../../core/time/calendar.ts';
import type { Fault } from '../../../core/model/fault.ts';
import { faultSentence } from '../../../core/words/fault-sentence.ts';
import { countFigure } from '../../../core/words/figure.ts';
import { datesOfCalendar } from '../../files/calendar-dates.ts';
import { openFile } from '../../files/files.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { dayNow } from '../../time/now.ts';
import { useBookParts } from '../../state/use-book-parts.ts';

const MOST_SHOWN = 6;
const YEARS_AHEAD_DAYS = 3 * 366;

const styles = (inks: Inks) => ({
  said: note(inks),
  fault: { ...note(inks), color: inks.rubric },
});

/** Closed dates taken out of a calendar file, beside those that are there. */
export const CalendarImport = ({
  closed,
  onTaken,
}: {
  closed: readonly string[];
  onTaken: (dates: string[]) => void;
}) => {
  const style = useStyles(styles);
  const { store } = useBookParts('store');
  const [said, setSaid] = useState<{ text: string; isFault: boolean } | null>(null);
  const [left, setLeft] = useState<readonly Fault[]>([]);
  const open = async (): Promise<void> => {
    const file = await openFile('ics');
    if (!file) return;
    setLeft([]);
    if (file.text === null) {
      setSaid({ text: `${file.name} is too large to be read.`, isFault: true });
      return;
    }
    const today = dayNow(store);
    const read = await datesOfCalendar(file.text, today, dateOf(dayOf(today) + YEARS_AHEAD_DAYS));
    setLeft(read.ok ? read.value.faults : read.faults);
    if (!read.ok) {
      setSaid({ text: `Nothing was imported from ${file.name}.`, isFault: true });
      return;
    }
    const fresh = read.value.dates.filter((date) => !closed.includes(date));
    if (fresh.length > 0) onTaken([...closed, ...fresh].sort());
    setSaid({
      text: `${countFigure(fresh.length, 'closed date')} more, out of ${file.name}.`,
      isFault: false,
    });
  };
  return (
    <View>
      <TextAction
        label="Import closed dates from a calendar file"
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        onPress={() => void open()}
      />
      {said === null ? null : (
        <Text style={said.isFault ? style.fault : style.said} role={said.isFault ? 'alert' : 'status'}>
          {said.text}
        </Text>
      )}
      {left.slice(0, MOST_SHOWN).map((fault, at) => (
        <Text key={at} style={style.fault} role="alert">
          {faultSentence(fault)}
        </Text>
      ))}
      {left.length > MOST_SHOWN ? (
        <Text style={style.fault}>{left.length - MOST_SHOWN} more were left out.</Text>
      ) : null}
    </View>
  );
};
