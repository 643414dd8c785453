import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { t } from '../../../core/translate/translate.ts';
import { withLeftOut } from '../../list-import/import-words.ts';
import { withPastChoice } from '../../../core/order/past-choice.ts';
import { guessUnit } from '../../../core/formats/list-columns.ts';
import { PAST_ORDERS, type PastMeaning } from '../../../core/formats/past-orders-table.ts';
import type { PastOrder } from '../../../core/model/order.ts';
import { takeOrders } from '../../../core/order/take-orders.ts';
import { ImportPage } from '../../list-import/import-page.tsx';
import { useListImport } from '../../list-import/use-list-import.ts';
import { Chooser } from '../../parts/chooser.tsx';
import { Segments } from '../../parts/segments.tsx';
import { useWorldPlaces } from '../../places/places.ts';
import { ordersTaken } from '../../state/orders.ts';
import { messageShown } from '../../state/session.ts';
import { selectCompiled, selectDisplayFormat, selectPastOrders } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { momentNow } from '../../time/now.ts';

const UNITS = ['kg', 'g', 'lb', 'oz'] as const;
const ASK_NONE = { id: '', name: t('None'), note: '' };

const settings = { gap: 12, paddingTop: 12, maxWidth: 420 } as const;
const row = { flexDirection: 'row' } as const;

/** How the file is meant, and what changes that. */
const useMeaning = () => {
  const { decimals, units } = useAppSelector(selectDisplayFormat);
  const { locations } = useBookParts('locations');
  const [unit, setUnit] = useState<string>(units === 'metric' ? 'kg' : 'lb');
  const [dates, setDates] = useState<PastMeaning['dates']>('day-first');
  const places = useWorldPlaces();
  const home = locations[0]?.address.country ?? '';
  const value = useMemo(
    (): PastMeaning => ({
      ...{ decimals, units, unit, dates, home },
      subdivisions: places?.subdivisions ?? null,
    }),
    [decimals, units, unit, dates, home, places],
  );
  return { value, unit, setUnit, dates, setDates };
};

/** How weights and dates are meant, and which service rows have that name none. */
const MeaningFields = ({
  meaning,
  service,
  onService,
}: {
  meaning: ReturnType<typeof useMeaning>;
  service: string;
  onService: (id: string) => void;
}) => {
  const { services } = useBookParts('services');
  const options = [ASK_NONE, ...services.map(({ id, name }) => ({ id, name, note: '' }))];
  return (
    <View style={settings}>
      <Segments
        label={t('Weights without a unit are in')}
        value={meaning.unit}
        options={UNITS.map((one) => ({ value: one, label: one }))}
        onChange={meaning.setUnit}
      />
      <Segments
        label={t('Dates such as 03/04/2026 have')}
        value={meaning.dates}
        options={[
          { value: 'day-first', label: t('The day first') },
          { value: 'month-first', label: t('The month first') },
        ]}
        onChange={meaning.setDates}
      />
      <View style={row}>
        <Chooser
          label={t('Service of rows that name none of yours')}
          chosen={options.find(({ id }) => id === service)?.name ?? ''}
          options={options}
          onChoose={onService}
        />
      </View>
    </View>
  );
};

/** Past orders out of a file from elsewhere, beside those that are here. */
const PastImport = ({ file, onDone }: { file: File; onDone: () => void }) => {
  const dispatch = useAppDispatch();
  const compiled = useAppSelector(selectCompiled);
  const here = useAppSelector(selectPastOrders);
  const [service, setService] = useState('');
  const meaning = useMeaning();
  const work = useListImport({
    file,
    list: 'past-orders',
    columns: PAST_ORDERS.columns,
    meaning: meaning.value,
    onOpened: (headings, mapping) => {
      const named = guessUnit(headings, mapping, PAST_ORDERS.columns, UNITS);
      if (named !== null) meaning.setUnit(named);
    },
  });
  const take = (orders: readonly PastOrder[], faulty: number): void => {
    const chosen = orders.map((order) => withPastChoice(compiled, order, service === '' ? null : service));
    const taken = takeOrders(here, chosen, momentNow());
    if (taken.orders.length > 0) dispatch(ordersTaken(taken.orders));
    const text = t('Imported {count, plural, one {# order} other {# orders}} from {file}.', {
      count: taken.orders.length,
      file: file.name,
    });
    dispatch(messageShown({ text: withLeftOut(text, faulty), undo: false }));
    onDone();
  };
  return (
    <ImportPage
      name={file.name}
      back={{ name: t('Orders'), onPress: onDone }}
      columns={PAST_ORDERS.columns}
      work={work}
      settings={<MeaningFields meaning={meaning} service={service} onService={setService} />}
      button={t('Import the orders')}
      effect={t(
        'adds to the {count, plural, one {# order} other {# orders}} that are there; none is overwritten',
        { count: here.length },
      )}
      onTake={take}
    />
  );
};
export default PastImport;
