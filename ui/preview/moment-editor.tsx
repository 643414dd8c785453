import { View } from 'react-native';
import type { TestOrder } from '../../core/model/test-order.ts';
import { instantOf, localMoment } from '../../core/time/local-moment.ts';
import { DraftField } from '../parts/draft-field.tsx';
import { readDate, readTime } from '../parts/readers.ts';
import { TextAction } from '../parts/text-action.tsx';
import { edit } from '../state/draft.ts';
import { selectBook } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';

/** When the test order's order is placed, in the store's time zone. */
export const MomentEditor = ({ testOrder }: { testOrder: TestOrder }) => {
  const dispatch = useAppDispatch();
  const zone = useAppSelector((state) => selectBook(state).store.timeZone);
  const local = localMoment(testOrder.request.placedAt, zone);
  const set = (placedAt: string, visit: string | null = null): void => {
    dispatch(
      edit('setRequest', { id: testOrder.id, changes: { placedAt } }, `${testOrder.name}: moment`, visit),
    );
  };
  return (
    <View style={{ flexDirection: 'row', gap: 12, alignItems: 'flex-end' }}>
      <DraftField
        style={{ flex: 3 }}
        label="Placed on"
        text={local.date}
        read={readDate}
        onChange={(date, visit) => set(instantOf({ ...local, date }, zone), visit)}
      />
      <DraftField
        style={{ flex: 2 }}
        label="at"
        text={local.time}
        read={readTime}
        onChange={(time, visit) => set(instantOf({ ...local, time }, zone), visit)}
      />
      <TextAction label="Now" onPress={() => set(new Date().toISOString())} />
    </View>
  );
};
