import { act, fireEvent, screen } from '@testing-library/react-native';
import { edit } from '../../../state/draft.ts';
import { selectBook } from '../../../state/selectors.ts';
import type { AppStore } from '../../../state/store.ts';
import { goTo } from '../../../testing/router.ts';
import { demoStore, renderOver } from '../../../testing/store.tsx';
import NearbyPart from './nearby-part.tsx';

jest.setTimeout(60_000);

describe('a shop whose place is on no map', () => {
  const openSomewhere = async (params: Record<string, string> = {}): Promise<AppStore> => {
    goTo({ pathname: '/reach', params: { part: 'nearby', ...params } });
    const store = demoStore();
    const { locations, areas } = selectBook(store.getState());
    const address = { country: 'SE', postalCode: '111 22' };
    for (const { id } of locations)
      store.dispatch(edit('setLocation', { id, changes: { address } }, 'Moved'));
    for (const { id, covers } of areas)
      if (covers.kind === 'shape')
        store.dispatch(edit('setArea', { id, changes: { covers: { kind: 'radius', metres: 2_000 } } }, 'R'));
    renderOver(store, <NearbyPart />);
    await act(async () => {
      await jest.advanceTimersByTimeAsync(50);
    });
    return store;
  };

  test('has no empty map, and says what one needs', async () => {
    await openSomewhere();
    expect(screen.queryByLabelText(/^The neighbourhood/)).toBeNull();
    expect(screen.getByRole('link')).toHaveTextContent(/under Settings, Locations/);
  });

  test('says of a radius that the shopfront finds nobody in it', async () => {
    const store = await openSomewhere({ area: 'harbour-ring' });
    const { locations } = selectBook(store.getState());
    const address = { country: 'SE', postalCode: '111 22', point: { lat: 59.33, lng: 18.07 } };
    act(() => {
      for (const { id } of locations)
        store.dispatch(edit('setLocation', { id, changes: { address } }, 'On the map'));
    });
    expect(await screen.findByText(/Postal codes of Sweden are not on the built-in map/)).toBeTruthy();
  });

  test('begins no shape far away from it, in the list nor in an area', async () => {
    const store = await openSomewhere({ area: 'peninsula' });
    const before = selectBook(store.getState()).areas;
    fireEvent.press(screen.getByText('Add an area by shape'));
    expect(screen.getByRole('alert')).toHaveTextContent(/so there is no map to draw on/);
    fireEvent.press(screen.getByText('a shape'));
    expect(screen.getAllByText(/so there is no map to draw on/)).toHaveLength(2);
    expect(selectBook(store.getState()).areas).toBe(before);
  });
});
