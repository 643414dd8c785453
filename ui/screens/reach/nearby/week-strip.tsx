import { View } from 'react-native';
import { Text } from 'react-native-paper';
import Svg, { Line, Rect } from 'react-native-svg';
import { t } from '../../../../core/translate/translate.ts';
import { minutesOf } from '../../../../core/time/calendar.ts';
import { instantOf, localMoment } from '../../../../core/time/local-moment.ts';
import { weekView, type DayView, type WeekView } from '../../../../core/quote/week-view.ts';
import { dayFigure, momentFigure } from '../../../../core/words/moment-figure.ts';
import { dateSpan } from '../../../parts/dates.ts';
import { TextAction } from '../../../parts/text-action.tsx';
import { edit } from '../../../state/draft.ts';
import { selectCompiled, selectTestOrder } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useInks } from '../../../theme/theme.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note, smallFigure } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';

const DAY = 1_440;
const HEIGHT = 20;
const HOUR_MS = 3_600_000;

const styles = (inks: Inks) => ({
  all: { gap: 2 },
  note: note(inks),
  row: { flexDirection: 'row', alignItems: 'center', gap: 8 } as const,
  day: { ...smallFigure, width: 88 },
  strip: { flex: 1 },
  said: { ...note(inks), width: 96, textAlign: 'right' } as const,
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 4, marginLeft: -4 } as const,
});

const isFull = ({ left }: DayView['slots'][number]): boolean => left === 0;

/** Whether an order is there on a day, or may be: within what is told, while the location is open. */
const isTold = ({ date, open }: DayView, { arrives }: Pick<WeekView, 'arrives'>): boolean =>
  arrives !== null && open.length > 0 && date >= arrives.earliest && date <= arrives.latest;

const saidOf = (day: DayView, view: WeekView): string => {
  const { slots, isClosedDate, open, date } = day;
  if (isTold(day, view)) return date === view.arrives?.latest ? t('there by now') : t('may be there');
  if (slots.length > 0) {
    const free = slots.filter((slot) => !isFull(slot)).length;
    return free === 0 ? t('full') : t('{free} of {count}', { free, count: slots.length });
  }
  return isClosedDate ? t('closed date') : open.length === 0 ? t('closed') : '–';
};

const minuteOf = (instant: string): number => minutesOf(instant.slice(11, 16));

interface StripProps {
  day: DayView;
  /** Whether an order may be there that day. */
  told: boolean;
  cutoff: string | null;
  marks: readonly number[];
}

/** A moment of the day, as a line across it. */
const Moment = ({ at, ink }: { at: number; ink: string }) => (
  <Line x1={at} x2={at} y1={0} y2={HEIGHT} stroke={ink} strokeWidth={2} vectorEffect="non-scaling-stroke" />
);

/** Where a box stands that is from one minute to another. */
const boxOf = (from: number, to: number) => ({
  x: from + 3,
  y: 3,
  width: Math.max(4, to - from - 6),
  height: 9,
});

/** A day from midnight to midnight: hours as a thin bar, what can be chosen as boxes, what is full as empty ones. */
const Strip = ({ day, told, cutoff, marks }: StripProps) => {
  const inks = useInks();
  return (
    <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${DAY} ${HEIGHT}`} preserveAspectRatio="none" aria-hidden>
      <Rect x={0} y={16} width={DAY} height={1} fill={inks.hairline} />
      {day.open.map(({ from, to }) => (
        <Rect key={from} x={from} y={14} width={to - from} height={4} fill={inks.control} />
      ))}
      {told ? day.open.map(({ from, to }) => <Rect key={from} {...boxOf(from, to)} fill={inks.ink} />) : null}
      {day.slots.map((slot) => {
        const from = minuteOf(slot.start);
        const to = minuteOf(slot.end) || DAY;
        return (
          <Rect
            key={slot.start}
            {...boxOf(from, to)}
            fill={isFull(slot) ? 'none' : inks.ink}
            stroke={inks.ink}
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
        );
      })}
      {cutoff === null || day.open.length === 0 ? null : <Moment at={minutesOf(cutoff)} ink={inks.doubt} />}
      {marks.map((at) => (
        <Moment key={at} at={at} ink={inks.sound} />
      ))}
    </Svg>
  );
};

const headOf = (placedAt: string, { ready, days, cutoff, arrives }: WeekView): string => {
  const free = days.flatMap(({ slots }) => slots).filter((slot) => !isFull(slot)).length;
  const when = ready === null ? t('never ready') : t('ready {moment}', { moment: momentFigure(ready) });
  const choice = free > 0 ? t('; {free, plural, one {# time} other {# times}} to choose from', { free }) : '';
  const told = arrives
    ? t('; there {dateSpan}', { dateSpan: dateSpan(arrives.earliest, arrives.latest) })
    : '';
  return t('Ordered {moment}: {when}{choice}{told}{cutoff}.', {
    moment: momentFigure(placedAt),
    when,
    choice,
    told,
    cutoff: cutoff === null ? '' : t('; cut-off {cutoff}', { cutoff }),
  });
};

/** Moves the test order's moment along the strip. */
const Moves = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const testOrder = useAppSelector(selectTestOrder)?.testOrder;
  const { zone } = useAppSelector(selectCompiled).clock;
  if (!testOrder) return null;
  const move = (hours: number) => (): void => {
    const moved = new Date(Date.parse(testOrder.request.placedAt) + hours * HOUR_MS).toISOString();
    const placedAt = instantOf(localMoment(moved, zone), zone);
    dispatch(
      edit(
        'setRequest',
        { id: testOrder.id, changes: { placedAt } },
        t('{testOrder}: moment', { testOrder: testOrder.name }),
        'moment-moved',
      ),
    );
  };
  return (
    <View style={style.actions} role="group" aria-label={t('Move the test order’s moment')}>
      <TextAction label={t('A day earlier')} onPress={move(-24)} />
      <TextAction label={t('An hour earlier')} onPress={move(-1)} />
      <TextAction label={t('An hour later')} onPress={move(1)} />
      <TextAction label={t('A day later')} onPress={move(24)} />
    </View>
  );
};

/** The week from the test order's moment on: hours, cut-off, closed dates, and what could be chosen if it were ordered then. */
export const WeekStrip = ({ id }: { id: string }) => {
  const style = useStyles(styles);
  const compiled = useAppSelector(selectCompiled);
  const request = useAppSelector(selectTestOrder)?.testOrder?.request;
  const view = request ? weekView(compiled, id, request) : null;
  if (!request || !view) return null;
  const placedAt = instantOf(localMoment(request.placedAt, compiled.clock.zone), compiled.clock.zone);
  const readyDay = view.ready?.slice(0, 10);
  return (
    <View style={style.all} role="group" aria-label={t('The week')}>
      <Text style={style.note} aria-live="polite">
        {headOf(placedAt, view)}
      </Text>
      {view.days.map((day, at) => {
        const marks = [
          ...(at === 0 ? [view.placed] : []),
          ...(view.ready !== null && day.date === readyDay ? [minuteOf(view.ready)] : []),
        ];
        return (
          <View key={day.date} style={style.row}>
            <Text style={style.day}>{dayFigure(day.date)}</Text>
            <View style={style.strip}>
              <Strip day={day} told={isTold(day, view)} cutoff={view.cutoff} marks={marks} />
            </View>
            <Text style={style.said}>{saidOf(day, view)}</Text>
          </View>
        );
      })}
      <Moves />
    </View>
  );
};
