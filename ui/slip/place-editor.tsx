import { View } from 'react-native';
import type { Destination } from '../../core/model/place.ts';
import type { Trial } from '../../core/model/trial.ts';
import { Chooser } from '../parts/chooser.tsx';
import { DraftField } from '../parts/draft-field.tsx';
import { readWords } from '../parts/readers.ts';
import { TextAction } from '../parts/text-action.tsx';
import { countryName, useWorldPlaces } from '../places/places.ts';
import { edit } from '../state/draft.ts';
import { useAppDispatch } from '../state/store.ts';

const row = { flexDirection: 'row', gap: 12 } as const;
const half = { flex: 1 } as const;

/** Where the trial's order goes, edited in place. */
export const PlaceEditor = ({ trial }: { trial: Trial }) => {
  const dispatch = useAppDispatch();
  const places = useWorldPlaces();
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
  const { country, subdivision, postalCode = '', city = '' } = destination;
  const subdivisions = places?.subdivisions.get(country) ?? [];
  const subdivisionName = subdivisions.find((one) => one.code === subdivision)?.name ?? subdivision ?? '';
  const options = [
    { id: '', name: 'Not given', note: '' },
    ...subdivisions.map(({ code, name }) => ({ id: code, name })),
  ];
  return (
    <View style={{ gap: 8 }}>
      <View style={row}>
        <DraftField
          style={half}
          label="Postal code"
          text={postalCode}
          read={readWords(20)}
          onChange={(code, visit) => set({ ...destination, postalCode: code }, visit)}
        />
        <DraftField
          style={half}
          label="Town"
          prose
          text={city}
          read={readWords(120)}
          onChange={(town, visit) => set({ ...destination, city: town }, visit)}
        />
      </View>
      <View style={row}>
        <Chooser
          label="Country"
          chosen={countryName(country)}
          options={(places?.countries ?? []).map(({ code, name }) => ({ id: code, name }))}
          onChoose={(code) => set({ country: code, postalCode, city })}
        />
        {subdivisions.length > 0 ? (
          <Chooser
            label="Province or state"
            chosen={subdivisionName}
            options={options}
            onChoose={(code) => set({ ...destination, subdivision: code === '' ? undefined : code })}
          />
        ) : null}
      </View>
      <TextAction
        label="Without an address"
        onPress={() => set(null)}
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
      />
    </View>
  );
};
