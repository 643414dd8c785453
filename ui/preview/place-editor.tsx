import { View } from 'react-native';
import { t } from '../../core/translate/translate.ts';
import type { Destination } from '../../core/model/place.ts';
import type { TestOrder } from '../../core/model/test-order.ts';
import { PlaceFields } from '../fields/place-fields.tsx';
import { TextAction } from '../parts/text-action.tsx';
import { edit } from '../state/draft.ts';
import { useAppDispatch } from '../state/store.ts';
import { useBookParts } from '../state/use-book-parts.ts';

/** Where the test order's order goes, edited in place. */
export const PlaceEditor = ({ testOrder }: { testOrder: TestOrder }) => {
  const dispatch = useAppDispatch();
  const { locations } = useBookParts('locations');
  const home = locations[0]?.address.country ?? 'CA';
  const { destination } = testOrder.request;
  const set = (next: Destination | null, visit: string | null = null): void => {
    dispatch(
      edit(
        'setRequest',
        { id: testOrder.id, changes: { destination: next } },
        t('{testOrder}: place', { testOrder: testOrder.name }),
        visit,
      ),
    );
  };
  if (!destination) {
    return (
      <TextAction
        label={t('Give it an address')}
        onPress={() => set({ country: home })}
        style={{ alignSelf: 'flex-start' }}
      />
    );
  }
  return (
    <View style={{ gap: 8 }}>
      <PlaceFields destination={destination} onChange={set} />
      <TextAction
        label={t('Without an address')}
        onPress={() => set(null)}
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
      />
    </View>
  );
};
