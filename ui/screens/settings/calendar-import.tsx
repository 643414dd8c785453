import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { dateOf, dayOf } from '../../../core/time/calendar.ts';
import type { Fault } from '../../../core/model/fault.ts';
import { faultSentence } from '../../../core/words/fault-sentence.ts';
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
      setSaid({ text: t('{file} is too large to be read.', { file: file.name }), isFault: true });
      return;
    }
    const today = dayNow(store);
    const read = await datesOfCalendar(file.text, today, dateOf(dayOf(today) + YEARS_AHEAD_DAYS));
    setLeft(read.ok ? read.value.faults : read.faults);
    if (!read.ok) {
      setSaid({ text: t('Nothing was imported from {file}.', { file: file.name }), isFault: true });
      return;
    }
    const fresh = read.value.dates.filter((date) => !closed.includes(date));
    if (fresh.length > 0) onTaken([...closed, ...fresh].sort());
    const counted = { count: fresh.length, file: file.name };
    const text = t(
      '{count, plural, one {# closed date} other {# closed dates}} more, out of {file}.',
      counted,
    );
    setSaid({ text, isFault: false });
  };
  return (
    <View>
      <TextAction
        label={t('Import closed dates from a calendar file')}
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
        <Text style={style.fault}>
          {t('{count} more were left out.', { count: left.length - MOST_SHOWN })}
        </Text>
      ) : null}
    </View>
  );
};
