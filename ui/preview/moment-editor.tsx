import { View } from 'react-native';
import { t } from '../../core/translate/translate.ts';
import type { TestOrder } from '../../core/model/test-order.ts';
import { instantOf, localMoment } from '../../core/time/local-moment.ts';
import { DateField, TimeField } from '../fields/kind-fields.tsx';
import { TextAction } from '../parts/text-action.tsx';
import { edit } from '../state/draft.ts';
import { selectBook } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { momentNow } from '../time/now.ts';

/** When the test order's order is placed, in the store's time zone. */
export const MomentEditor = ({ testOrder }: { testOrder: TestOrder }) => {
  const dispatch = useAppDispatch();
  const zone = useAppSelector((state) => selectBook(state).store.timeZone);
  const local = localMoment(testOrder.request.placedAt, zone);
  const set = (placedAt: string, visit: string | null = null): void => {
    dispatch(
      edit(
        'setRequest',
        { id: testOrder.id, changes: { placedAt } },
        t('{testOrder}: moment', { testOrder: testOrder.name }),
        visit,
      ),
    );
  };
  return (
    <View style={{ flexDirection: 'row', gap: 12, alignItems: 'flex-end' }}>
      <DateField
        style={{ flex: 3 }}
        label={t('Placed on')}
        value={local.date}
        onChange={(date, visit) => set(instantOf({ ...local, date }, zone), visit)}
      />
      <TimeField
        style={{ flex: 2 }}
        label={t('at')}
        value={local.time}
        onChange={(time, visit) => set(instantOf({ ...local, time }, zone), visit)}
      />
      <TextAction label={t('Now')} onPress={() => set(momentNow())} />
    </View>
  );
};
