import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { SlotDay } from '../../../core/quote/slot-days.ts';
import type { TimeSlot } from '../../../core/time/times.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { Press } from '../../parts/press.tsx';
import { selectServedBook } from '../../state/served.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { TOUCH, type Inks } from '../../theme/tokens.ts';
import { shopStyles } from './shop-styles.ts';

interface Props {
  days: readonly SlotDay[];
  slot: TimeSlot | null;
  released: 'time' | 'taken' | null;
  onPick: (slot: TimeSlot) => void;
}

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  all: { gap: 10, paddingBottom: 12 },
  days: { flexDirection: 'row', gap: 8 } as const,
  day: {
    borderWidth: 1,
    borderColor: inks.hairline,
    paddingHorizontal: 12,
    minHeight: 56,
    justifyContent: 'center',
  } as const,
  here: { borderColor: inks.ink, borderWidth: 2 },
  times: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } as const,
  time: {
    borderWidth: 1,
    borderColor: inks.hairline,
    paddingHorizontal: 12,
    minHeight: TOUCH,
    justifyContent: 'center',
  } as const,
  full: { textDecorationLine: 'line-through', color: inks.quiet } as const,
});

const isFull = ({ left }: TimeSlot): boolean => left === 0;
const timeOf = ({ start, end }: TimeSlot): string => `${start.slice(11, 16)}–${end.slice(11, 16)}`;

const RELEASED = { time: 'slot.kept-too-long', taken: 'slot.taken' } as const;

interface DayProps {
  day: SlotDay;
  on: boolean;
  /** The day is the choice: it has one span, which is said in place of how many there are. */
  whole: boolean;
  onPress: () => void;
}

const Day = ({ day, on, whole, onPress }: DayProps) => {
  const style = useStyles(styles);
  const free = day.slots.filter((slot) => !isFull(slot)).length;
  const words = useCustomerWords();
  const name = words.day(day.date);
  const only = whole ? day.slots[0] : undefined;
  const count =
    free === 0 ? words.say('slot.full') : only ? timeOf(only) : words.say('slot.times', { count: free });
  return (
    <Press
      role="radio"
      aria-checked={on}
      aria-label={`${name}, ${count}`}
      aria-disabled={whole && free === 0}
      disabled={whole && free === 0}
      onPress={onPress}
    >
      <View style={[style.day, on ? style.here : null]}>
        <Text style={[style.name, free === 0 ? style.full : null]}>{name}</Text>
        <Text style={style.quiet}>{count}</Text>
      </View>
    </Press>
  );
};

const Time = ({ slot, on, onPress }: { slot: TimeSlot; on: boolean; onPress: () => void }) => {
  const style = useStyles(styles);
  const full = isFull(slot);
  const { say } = useCustomerWords();
  const left =
    slot.left !== undefined && slot.left > 0 && slot.left < 3 ? [say('slot.left', { count: slot.left })] : [];
  const label = [timeOf(slot), ...(full ? [say('slot.full')] : left)].join(', ');
  return (
    <Press
      role="radio"
      aria-checked={on}
      aria-label={label}
      aria-disabled={full}
      disabled={full}
      onPress={onPress}
    >
      <View style={[style.time, on ? style.here : null]}>
        <Text style={[style.name, full ? style.full : null]}>{timeOf(slot)}</Text>
        {full ? <Text style={style.quiet}>{say('slot.full-why')}</Text> : null}
      </View>
    </Press>
  );
};

/** Where the shop's clocks are, where they show another time than the customer's; else null. */
export const otherClock = (start: string, timeZone: string): string | null => {
  const [, sign, hours, minutes] = /([+-])(\d\d):(\d\d)$/.exec(start) ?? [];
  const there = (Number(hours) * 60 + Number(minutes)) * (sign === '-' ? -1 : 1);
  const here = -new Date(start).getTimezoneOffset();
  return there === here ? null : (timeZone.split('/').at(-1) ?? timeZone).replaceAll('_', ' ');
};

/** A day, then a time: what is full is struck, with why. */
export const SlotPicker = ({ days, slot, released, onPick }: Props) => {
  const style = useStyles(styles);
  const { say } = useCustomerWords();
  const [looked, setLooked] = useState<string | null>(null);
  const first = days.find(({ slots }) => slots.some((one) => !isFull(one)));
  const date = looked ?? slot?.start.slice(0, 10) ?? first?.date;
  const day = days.find((one) => one.date === date) ?? first;
  const { timeZone } = useAppSelector(selectServedBook).store;
  const whole = days.every(({ slots }) => slots.length === 1);
  const pick = ({ date: on, slots: [only] }: SlotDay): void => {
    if (whole && only) onPick(only);
    else setLooked(on);
  };
  const clock = day?.slots[0] ? otherClock(day.slots[0].start, timeZone) : null;
  return (
    <View style={style.all}>
      {released === null ? null : (
        <Text style={style.fault} role="alert">
          {say(RELEASED[released])}
        </Text>
      )}
      <ScrollView horizontal showsHorizontalScrollIndicator={false}>
        <View style={style.days} role="radiogroup" aria-label={say('slot.day')}>
          {days.map((one) => (
            <Day
              key={one.date}
              day={one}
              whole={whole}
              on={whole ? one.date === slot?.start.slice(0, 10) : one === day}
              onPress={() => pick(one)}
            />
          ))}
        </View>
      </ScrollView>
      {whole ? null : (
        <View style={style.times} role="radiogroup" aria-label={say('slot.time')}>
          {day?.slots.map((one) => (
            <Time
              key={one.start}
              slot={one}
              on={one.start === slot?.start && one.end === slot.end}
              onPress={() => onPick(one)}
            />
          ))}
        </View>
      )}
      {clock === null ? null : <Text style={style.quiet}>{say('slot.clock', { city: clock })}</Text>}
    </View>
  );
};
