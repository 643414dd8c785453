import { View } from 'react-native';
import type { Destination } from '../../core/model/place.ts';
import type { Trial } from '../../core/model/trial.ts';
import { PlaceFields } from '../parts/place-fields.tsx';
import { TextAction } from '../parts/text-action.tsx';
import { edit } from '../state/draft.ts';
import { useAppDispatch } from '../state/store.ts';

/** Where the trial's order goes, edited in place. */
export const PlaceEditor = ({ trial }: { trial: Trial }) => {
  const dispatch = useAppDispatch();
  const { destination } = trial.request;
  const set = (next: Destination | null, visit: string | null = null): void => {
    dispatch(
      edit('setRequest', { id: trial.id, changes: { destination: next } }, `${trial.name}: place`, visit),
    );
  };
  if (!destination) {
    return (
      <TextAction
        label="Give it an address"
        onPress={() => set({ country: 'CA' })}
        style={{ alignSelf: 'flex-start' }}
      />
    );
  }
  return (
    <View style={{ gap: 8 }}>
      <PlaceFields destination={destination} onChange={set} />
      <TextAction
        label="Without an address"
        onPress={() => set(null)}
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
      />
    </View>
  );
};
