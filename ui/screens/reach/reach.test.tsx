import { iso31662 } from 'iso-3166';
import { act, fireEvent, screen, within } from '@testing-library/react-native';
import fc from 'fast-check';
import { edit, undone } from '../../state/draft.ts';
import { selectBook, selectPreview } from '../../state/selectors.ts';
import type { AppStore } from '../../state/store.ts';
import { zoneMarks } from '../../theme/zone-marks.ts';
import { currentAddress } from '../../testing/router.ts';
import { pressLink } from '../../testing/press-link.ts';
import { demoStore, renderOver, placesAtHand } from '../../testing/store.tsx';
import { MAP_WIDTH } from './map-plane.ts';
import { subdivisionShapes, worldShapes } from './map-shapes.ts';
import { clampView, movedView, WHOLE_WORLD, zoomedView } from './map-view.ts';
import ReachScreen from './reach-screen.tsx';

beforeAll(placesAtHand);

const open = async (): Promise<AppStore> => {
  const store = demoStore();
  renderOver(store, <ReachScreen />);
  await act(async () => {
    await jest.advanceTimersByTimeAsync(50);
  });
  return store;
};
const sellsTo = (store: AppStore) => selectBook(store.getState()).store.sellsTo;
const find = (text: string): void => fireEvent.changeText(screen.getByLabelText('Find a country'), text);
const type = (label: string | RegExp, text: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};

describe('where a code falls', () => {
  test('is answered in the order in which a quote asks, for one code or many', async () => {
    await open();
    fireEvent.changeText(screen.getByLabelText('Where would this code fall?'), 'j0m 1c0, B3H 4R2');
    expect(
      screen.getByText(
        /J0M 1C0.*You sell here, in Quebec\. Not on the postal list, and served\. Zone North, by J0M\*\./,
      ),
    ).toBeTruthy();
    expect(screen.getByText(/Also listed in Central \(by Quebec\)/)).toBeTruthy();
    expect(screen.getByText(/B3H 4R2.*Zone Maritimes, by Nova Scotia\./)).toBeTruthy();
  });

  test('says where the customer cannot buy', async () => {
    const store = await open();
    act(() => void store.dispatch(edit('openCountries', { countries: ['CA'], open: false }, 'Canada')));
    fireEvent.changeText(screen.getByLabelText('Where would this code fall?'), 'B1P');
    expect(screen.getByText('You do not sell here.')).toBeTruthy();
    act(() => void store.dispatch(undone()));
    act(
      () =>
        void store.dispatch(
          edit(
            'switchRates',
            { ids: selectBook(store.getState()).rates.map(({ id }) => id), active: false },
            'all',
          ),
        ),
    );
    expect(screen.getByText('Nothing ships there: the customer cannot buy.')).toBeTruthy();
  });
});

describe('where the shop sells', () => {
  test('a country is opened and closed by name, and the preview follows', async () => {
    const store = await open();
    find('canada');
    fireEvent.press(screen.getAllByLabelText('Canada').at(-1) as never);
    expect(sellsTo(store).countries).toEqual(['CA', 'CU', 'IR', 'KP', 'SY']);
    const preview = selectPreview(store.getState());
    const codes = preview?.ok ? preview.quote.withheld.map((one) => one.code) : [];
    expect(codes).toEqual(Array<string>(9).fill('not-sold-there'));
    fireEvent.press(screen.getAllByLabelText('Canada').at(-1) as never);
    expect(sellsTo(store).countries).toEqual(['CU', 'IR', 'KP', 'SY']);
  });

  test('many are closed at once, and one undo opens them again', async () => {
    const store = await open();
    find('guinea');
    fireEvent.press(screen.getByText('Close all 4 shown'));
    expect(sellsTo(store).countries).toEqual(['CU', 'GN', 'GQ', 'GW', 'IR', 'KP', 'PG', 'SY']);
    act(() => void store.dispatch(undone()));
    expect(sellsTo(store).countries).toHaveLength(4);
    find('atlantis');
    expect(screen.getByText('No country has that name: “atlantis”.')).toBeTruthy();
  });

  test('several are typed at once, by names, codes and groups, and what is none is named', async () => {
    const store = await open();
    find('Guinea, france; PL, Atlantis');
    expect(screen.getByText('No country has that name: “Atlantis”.')).toBeTruthy();
    fireEvent.press(screen.getByText('Close all 3 shown'));
    expect(sellsTo(store).countries).toEqual(['CU', 'FR', 'GN', 'IR', 'KP', 'PL', 'SY']);
    find('eu');
    fireEvent.press(screen.getByText('Open all 27 shown'));
    expect(sellsTo(store).countries).toEqual(['CU', 'GN', 'IR', 'KP', 'SY']);
  });

  test('goes from one list to the other without opening or closing a country', async () => {
    const store = await open();
    fireEvent.press(screen.getByText('Only open countries'));
    expect(sellsTo(store)).toMatchObject({ mode: 'listed' });
    expect(sellsTo(store).countries).not.toContain('CU');
    expect(sellsTo(store).countries).toContain('CA');
    find('cuba');
    fireEvent.press(screen.getByLabelText('Cuba'));
    expect(sellsTo(store).countries).toContain('CU');
    fireEvent.press(screen.getByText('Everywhere except closed countries'));
    expect(sellsTo(store)).toMatchObject({ mode: 'everywhere', countries: ['IR', 'KP', 'SY'] });
  });

  test('regions are closed inside open countries, and what is none is named', async () => {
    const store = await open();
    fireEvent.press(screen.getByText('As text'));
    const label = /^Closed inside open countries: countries and regions by name/;
    type(label, 'NO-21\nCA: X0A*');
    expect(sellsTo(store).closedRegions).toHaveLength(2);
    type(label, 'Atlantis');
    expect(screen.getByText(/“Atlantis” is not a place/)).toBeTruthy();
    expect(sellsTo(store).closedRegions).toHaveLength(2);
  });
});

describe('the regions of a country', () => {
  test('stand by name with their zones, and are closed and opened one by one', async () => {
    const store = await open();
    find('canada');
    fireEvent.press(screen.getByLabelText('Regions of Canada'));
    const region = (name: string) => screen.getByLabelText(name);
    expect(within(region('Nova Scotia')).getByText('Maritimes')).toBeTruthy();
    fireEvent.press(region('Nova Scotia'));
    expect(sellsTo(store).closedRegions).toContainEqual({ country: 'CA', subdivision: 'CA-NS' });
    expect(within(region('Nova Scotia')).getByText('closed')).toBeTruthy();
    const preview = selectPreview(store.getState());
    const sent = preview?.ok ? preview.quote.withheld.filter(({ kind }) => kind !== 'pickup') : [];
    expect(sent.map(({ code }) => code)).toEqual(Array(7).fill('not-sold-there'));
    fireEvent.press(region('Nova Scotia'));
    expect(sellsTo(store).closedRegions).not.toContainEqual({ country: 'CA', subdivision: 'CA-NS' });
  });

  test('are found and added by name, pasted as codes, and taken out', async () => {
    const store = await open();
    const field = screen.getByLabelText('Closed inside open countries: add a country or region');
    fireEvent(field, 'focus');
    fireEvent.changeText(field, 'nunavut');
    fireEvent.press(screen.getByLabelText('Nunavut, Canada'));
    fireEvent.press(screen.getByText('Paste codes'));
    fireEvent.changeText(screen.getByLabelText('Postal codes to add'), 'X0A; x0a, B3H 4R2\nthe harbour');
    expect(screen.getByText('First choose the country of the codes.')).toBeTruthy();
    fireEvent(screen.getByLabelText('Codes of'), 'focus');
    fireEvent.changeText(screen.getByLabelText('Codes of'), 'Canada');
    fireEvent.press(screen.getAllByLabelText('Canada').at(-1) as never);
    fireEvent.press(screen.getByText('Add the codes'));
    expect(
      screen.getByText(
        '2 patterns added, 1 there already, 1 shorter than a code, read as the beginning of codes.',
      ),
    ).toBeTruthy();
    expect(screen.getByText('No codes of Canada, and left above: the harbour.')).toBeTruthy();
    expect(screen.getByLabelText('Postal codes to add').props.value).toBe('the harbour');
    expect(sellsTo(store).closedRegions.slice(1)).toEqual([
      { country: 'CA', subdivision: 'CA-NU' },
      { country: 'CA', postal: ['X0A*', 'B3H4R2'] },
    ]);
    fireEvent.press(screen.getByLabelText('Remove 2 codes in Canada'));
    expect(sellsTo(store).closedRegions).toHaveLength(2);
  });
});

describe('the outlines of the map', () => {
  test('are of countries and subdivisions that ISO 3166 has, on one plane', async () => {
    const known = new Set(iso31662.map(({ code }) => code));
    const shapes = [...(await subdivisionShapes()).values()].flat();
    expect(shapes.filter(({ code }) => !known.has(code))).toEqual([]);
    expect(shapes.filter(({ code }) => code.startsWith('CA-'))).toHaveLength(13);
    for (const { centre } of shapes) {
      expect(centre[0]).toBeGreaterThan(0);
      expect(centre[0]).toBeLessThan(MAP_WIDTH);
    }
    expect(
      worldShapes({ 124: 'CA', 250: 'FR' })
        .map(({ code }) => code)
        .sort(),
    ).toEqual(['CA', 'FR']);
  });
});

describe('the zones', () => {
  test('are listed with their services, and lead to their places', async () => {
    await open();
    expect(screen.getAllByText('4 services')).toHaveLength(4);
    pressLink(
      screen.getByLabelText('North: Yukon, Northwest Territories, Nunavut, 8 codes in Canada. To its places'),
    );
    expect(currentAddress()).toEqual({ pathname: '/charges', params: { zone: 'north', panel: 'zone' } });
  });

  test('that name one place are told apart by who has it', async () => {
    const store = await open();
    expect(screen.getByText('Canada: J0M* goes to North')).toBeTruthy();
    act(() => void store.dispatch(edit('setZone', { id: 'north', changes: { active: false } }, 'North')));
    expect(screen.queryByText('Canada: J0M* goes to North')).toBeNull();
  });

  test('have letters of their own, whatever their names', () => {
    const names = fc.array(fc.string({ maxLength: 6 }), { maxLength: 20 });
    fc.assert(
      fc.property(names, (list) => {
        const marks = [...zoneMarks(list.map((name, at) => ({ id: String(at), name }))).values()];
        expect(new Set(marks.map((mark) => mark.letter)).size).toBe(list.length);
      }),
    );
    const letters = [
      ...zoneMarks([
        { id: 'a', name: 'North' },
        { id: 'b', name: 'Newfoundland' },
      ]).values(),
    ];
    expect(letters.map((mark) => mark.letter)).toEqual(['N', 'Ne']);
  });
});

describe('the view of the map', () => {
  test('stays within the map, and grows about its middle', () => {
    const step = fc.oneof(
      fc.tuple(fc.constant('zoom'), fc.double({ min: 0.2, max: 4, noNaN: true }), fc.constant(0)),
      fc.tuple(fc.constant('move'), fc.integer({ min: -900, max: 900 }), fc.integer({ min: -900, max: 900 })),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        const view = steps.reduce(
          (now, [what, a, b]) =>
            what === 'zoom' ? zoomedView(now, a, 720, 360) : movedView(now, a, b, 720, 360),
          WHOLE_WORLD,
        );
        expect(view.zoom).toBeGreaterThanOrEqual(1);
        expect(view.x).toBeGreaterThanOrEqual(0);
        expect(view.x + 720 / view.zoom).toBeLessThanOrEqual(720.001);
        expect(view.y + 360 / view.zoom).toBeLessThanOrEqual(360.001);
      }),
    );
    expect(zoomedView(WHOLE_WORLD, 2, 720, 360)).toEqual({ zoom: 2, x: 180, y: 90 });
    expect(clampView({ x: 0, y: 0, zoom: 99 }, 720, 360).zoom).toBe(12);
  });
});
