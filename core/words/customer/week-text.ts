import type { OpeningHours } from '../../model/time.ts';
import type { CustomerWords } from './customer-words.ts';

/** Days one after another that are open at the same hours. */
interface Run {
  first: number;
  last: number;
  hours: string;
}

const runsOf = (hours: readonly OpeningHours[]): Run[] => {
  const byDay = new Map<number, string[]>();
  for (const { day, from, to } of [...hours].sort((a, b) => a.day - b.day || (a.from < b.from ? -1 : 1)))
    byDay.set(day, [...(byDay.get(day) ?? []), `${from}–${to}`]);
  const runs: Run[] = [];
  for (const [day, spans] of byDay) {
    const last = runs.at(-1);
    const text = spans.join(', ');
    if (last && last.last === day - 1 && last.hours === text) last.last = day;
    else runs.push({ first: day, last: day, hours: text });
  }
  return runs;
};

/** The hours of a week in a line: 'Mon to Fri 09:00–12:00, 13:00–17:30; Sat 08:00–13:00'; '' where there are none. */
export const weekText = (hours: readonly OpeningHours[], { say, weekday }: CustomerWords): string =>
  runsOf(hours)
    .map(({ first, last, hours: text }) =>
      first === last
        ? say('week.day', { day: weekday(first), hours: text })
        : say(last - first === 1 ? 'week.two-days' : 'week.days', {
            first: weekday(first),
            last: weekday(last),
            hours: text,
          }),
    )
    .join('; ');
