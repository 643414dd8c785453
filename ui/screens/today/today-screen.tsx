import { lazy, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Location } from '../../../core/model/location.ts';
import { ordersToPack } from '../../../core/order/picking.ts';
import { localMoment } from '../../../core/time/local-moment.ts';
import { dayFigure } from '../../../core/words/moment-figure.ts';
import { Page } from '../../page/page.tsx';
import { Section } from '../../parts/section.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { useNow } from '../../time/use-now.ts';
import { Later } from '../../parts/later.tsx';
import { PageHead } from '../../page/page-head.tsx';
import { selectServedBook, selectServedGoods } from '../../state/served.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { OrderRow } from './order-row.tsx';
import { printPacking, printPicking } from './print-lists.ts';
import { RoundPart } from './round-part.tsx';
import { ToDoList } from './to-do-list.tsx';
import { byDay, selectOpenOrders, type DayOfOrders, type OpenOrder } from './today-selectors.ts';
import { Actions } from '../../parts/actions.tsx';

const CheckSummary = lazy(async () => ({ default: (await import('../check/check-parts.ts')).CheckSummary }));

const styles = (inks: Inks) => ({
  head: { ...note(inks), paddingTop: 12 },
  late: { color: inks.rubric },
  none: { ...note(inks), paddingVertical: 16 },
  filter: { paddingTop: 12, maxWidth: 480 },
});

const ALL = 'all';

const Day = ({ day: { title, orders } }: { day: DayOfOrders }) => (
  <View>
    <Section title={title} />
    <View role="list" aria-label={t('To hand over: {title}', { title })}>
      {orders.map((open) => (
        <OrderRow key={open.order.number} open={open} />
      ))}
    </View>
  </View>
);

/** The lists that are printed for the orders that have something to pack and are not packed yet. */
const Papers = ({ orders, today }: { orders: readonly OpenOrder[]; today: string }) => {
  const book = useAppSelector(selectServedBook);
  const goods = useAppSelector(selectServedGoods);
  const unpacked = ordersToPack(
    orders.map(({ order }) => order),
    goods,
  );
  if (unpacked.length === 0) return null;
  return (
    <Actions>
      <TextAction
        label={t('Picking list for {count, plural, one {# order} other {# orders}}', {
          count: unpacked.length,
        })}
        onPress={() => void printPicking(unpacked, goods, today)}
      />
      <TextAction
        label={t('Packing lists')}
        onPress={() => void printPacking(unpacked, book, goods, today)}
      />
    </Actions>
  );
};

/** A round for each location with deliveries, on the first day on which there are some. */
const Rounds = ({ days, locations }: { days: readonly DayOfOrders[]; locations: readonly Location[] }) => {
  const day = days.find(({ orders }) => orders.some(({ order }) => order.chosen.kind === 'delivery'));
  const rounds = useMemo(
    () =>
      locations.flatMap((location) => {
        const orders = (day?.orders ?? [])
          .filter(({ order, locationId }) => order.chosen.kind === 'delivery' && locationId === location.id)
          .map(({ order }) => order);
        return orders.length > 0 ? [{ location, orders }] : [];
      }),
    [day, locations],
  );
  return (
    <>
      {rounds.map(({ location, orders }) => (
        <RoundPart key={location.id} location={location} orders={orders} date={day?.date ?? ''} />
      ))}
    </>
  );
};

/** What needs a person now: orders to hand over, the round, and how the draft stands. */
const TodayScreen = () => {
  const style = useStyles(styles);
  const now = useNow();
  const { locations, store } = useAppSelector(selectServedBook);
  const open = useAppSelector((state) => selectOpenOrders(state, now));
  const [where, setWhere] = useState<string>(ALL);
  const { date: today, time } = localMoment(now, store.timeZone);
  const days = byDay(open, today, where === ALL ? null : where);
  const late = open.filter((one) => one.late).length;
  const used = locations.filter(({ id }) => open.some(({ locationId }) => locationId === id));
  return (
    <Page>
      <PageHead title={t('Today')} />
      <Text style={style.head}>
        {dayFigure(today)}, {time}.{' '}
        {open.length === 0
          ? t('Nothing')
          : t('{count, plural, one {# order} other {# orders}}', { count: open.length })}{' '}
        {t('to hand over')}
        {late > 0 ? <Text style={[style.head, style.late]}>{t(', {late} late', { late })}</Text> : null}.
      </Text>
      {used.length > 1 ? (
        <View style={style.filter}>
          <Segments
            hideLabel
            label={t('Location')}
            value={where}
            onChange={setWhere}
            options={[
              { value: ALL, label: t('All') },
              ...used.map(({ id, name }) => ({ value: id, label: name })),
            ]}
          />
        </View>
      ) : null}
      {open.length === 0 ? (
        <Text style={style.none}>
          {t('Orders placed in the shopfront are listed here until they are handed over.')}
        </Text>
      ) : null}
      {open.length === 0 ? <ToDoList /> : null}
      {days.map((day) => (
        <Day key={day.date} day={day} />
      ))}
      <Papers orders={days.flatMap(({ orders }) => orders)} today={today} />
      <Rounds days={days} locations={locations} />
      {open.length === 0 ? null : <ToDoList />}
      <Later>
        <CheckSummary />
      </Later>
    </Page>
  );
};
export default TodayScreen;
