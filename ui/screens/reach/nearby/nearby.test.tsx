import { act, fireEvent, screen, within } from '@testing-library/react-native';
import type { DeliveryArea, PickupPoint, Position } from '../../../../core/model/delivery.ts';
import { undone } from '../../../state/draft.ts';
import { selectBook, selectPreview } from '../../../state/selectors.ts';
import { testOrderChosen } from '../../../state/session.ts';
import type { AppStore } from '../../../state/store.ts';
import { goTo } from '../../../testing/router.ts';
import { demoStore, renderOver } from '../../../testing/store.tsx';
import { openFile } from '../../../files/files.ts';
import { placedLabels, type Label } from './map-labels.ts';
import { at, moved, planeOf, pointAt, wholeView, zoomed } from './map-plane.ts';
import NearbyPart from './nearby-part.tsx';

jest.mock('../../../files/files.ts', () => ({
  ...jest.requireActual<object>('../../../files/files.ts'),
  openFile: jest.fn(),
}));
jest.setTimeout(60_000);

const areaOf = (store: AppStore, id: string): DeliveryArea | undefined =>
  selectBook(store.getState()).areas.find((one) => one.id === id);
const pickupOf = (store: AppStore, id: string): PickupPoint | undefined =>
  selectBook(store.getState()).pickups.find((one) => one.id === id);
const offered = (store: AppStore): string[] => {
  const preview = selectPreview(store.getState());
  return preview?.ok ? preview.quote.choices.map(({ id }) => id) : [];
};

const open = async (params: Record<string, string> = {}, testOrder = 'soil-north-end'): Promise<AppStore> => {
  goTo({ pathname: '/reach', params: { part: 'nearby', ...params } });
  const store = demoStore();
  store.dispatch(testOrderChosen(testOrder));
  renderOver(store, <NearbyPart />);
  await act(async () => {
    await jest.advanceTimersByTimeAsync(50);
  });
  return store;
};
const type = (label: string | RegExp, text: string, nth = 0): void => {
  const field = screen.getAllByLabelText(label)[nth];
  if (!field) throw new Error(`no field ${String(label)}`);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};

const SECOND: Position[] = [
  [0, 0],
  [2, 0],
  [2, 2],
];
const hole = [
  [0.5, 0.2],
  [1, 0.2],
  [1, 0.5],
  [0.5, 0.2],
];
const TWO_SHAPES = JSON.stringify({
  type: 'FeatureCollection',
  features: [
    {
      type: 'Feature',
      properties: { name: null },
      geometry: {
        type: 'MultiPolygon',
        coordinates: [
          [
            [
              [0, 0],
              [1, 0],
              [1, 1],
              [0, 0],
            ],
          ],
          [[...SECOND, [0, 0]], hole],
        ],
      },
    },
  ],
});

const pickFile = async (label: string, text: string): Promise<void> => {
  jest.mocked(openFile).mockResolvedValueOnce({ name: 'area.geojson', text });
  fireEvent.press(screen.getByText(label));
  await act(async () => {
    await jest.advanceTimersByTimeAsync(10);
  });
};

describe('the lists', () => {
  test('say in a line where each area delivers, how and for what, and where orders are collected', async () => {
    await open();
    expect(screen.getByText('B3H*, B3J*, B3K*, B3L* · Electric cart, today, Electric cart')).toBeTruthy();
    expect(screen.getByText(/^7\.90 to 13\.80 by distance · free from 75\.00/)).toBeTruthy();
    expect(
      screen.getByText(/^free · a slot of 30 minutes in the next 7 days · kerbside · up to 80 km away/),
    ).toBeTruthy();
  });

  test('take every shape of a GeoJSON file as an area of its own, which one undo takes back', async () => {
    const store = await open();
    await pickFile('Areas from a GeoJSON file', '[]');
    expect(screen.getByText(/^area\.geojson: /)).toBeTruthy();
    await pickFile('Areas from a GeoJSON file', TWO_SHAPES);
    const areas = () => selectBook(store.getState()).areas.map(({ name, active }) => [name, active]);
    expect(areas().slice(2)).toEqual([
      ['Shape 1', false],
      ['Shape 2', false],
    ]);
    expect(screen.getByText('Shape 2')).toBeTruthy();
    act(() => void store.dispatch(undone()));
    expect(areas()).toHaveLength(2);
  });

  test('name the codes that two areas cover', async () => {
    await open();
    await screen.findByText(/^Covered twice: .*B3K \(Peninsula, before Harbour ring\)/);
  });
});

describe('an area', () => {
  test('takes a pasted list of codes, and says what it did not understand', async () => {
    const store = await open({ area: 'peninsula' });
    type(/^Postal codes, pasted/, 'b3h, B3J 1S9; nonsense here');
    expect(areaOf(store, 'peninsula')?.covers).toEqual({
      kind: 'postal',
      country: 'CA',
      patterns: ['B3H*', 'B3J1S9'],
    });
    expect(screen.getByText(/^Not understood: nonsense/)).toBeTruthy();
    expect(offered(store)).not.toContain('peninsula:cart');
    act(() => void store.dispatch(undone()));
    expect(offered(store)).toContain('peninsula:cart');
  });

  test('is priced by distance, with a service fee, and switched off', async () => {
    const store = await open({ area: 'peninsula' });
    fireEvent.press(within(screen.getByLabelText('Price')).getByText('Steps'));
    fireEvent.press(within(screen.getByLabelText('Price')).getByText('Distance'));
    expect(areaOf(store, 'peninsula')?.price).toMatchObject({ kind: 'steps', basis: 'distance' });
    type('Service fee, always', '');
    expect(areaOf(store, 'peninsula')?.serviceFee).toBeUndefined();
    type('Service fee, always', '1.20');
    expect(areaOf(store, 'peninsula')?.serviceFee).toEqual({ name: 'Service fee', amount: 120 });
    type('Minimum order', '500.00');
    expect(offered(store)).not.toContain('peninsula:cart');
    fireEvent.press(screen.getByText('Switch off'));
    expect(areaOf(store, 'peninsula')?.active).toBe(false);
    expect(screen.getByText('Switched off: customers do not see it.')).toBeTruthy();
  });

  test('by radius says what it holds and cuts, and becomes the list of it', async () => {
    const store = await open({ area: 'harbour-ring' });
    type('From The Nursery, up to', '6 km');
    expect(areaOf(store, 'harbour-ring')?.covers).toEqual({ kind: 'radius', metres: 6_000 });
    type('From The Nursery, up to', 'far');
    expect(screen.getByText(/^Write a distance, such as 3 km\. Kept: 6 km/)).toBeTruthy();
    await screen.findByText(/^Holds B2/);
    fireEvent.press(screen.getByText(/^Turn into the \d+ codes it holds$/));
    const covers = areaOf(store, 'harbour-ring')?.covers;
    expect(covers?.kind === 'postal' && covers.patterns).toContain('B3K*');
  });

  test('takes its shape from a GeoJSON file; a faulty one is told and changes nothing', async () => {
    const store = await open({ area: 'peninsula' });
    fireEvent.press(screen.getByText('a shape'));
    const before = areaOf(store, 'peninsula')?.covers;
    expect(before?.kind).toBe('shape');
    const take = (text: string): Promise<void> => pickFile('Take the shape from a GeoJSON file', text);
    await take('not json');
    expect(screen.getByText('area.geojson is not JSON.')).toBeTruthy();
    await take('{"type":"Point","coordinates":[0,0]}');
    expect(areaOf(store, 'peninsula')?.covers).toBe(before);
    await take('{"type":"Polygon","coordinates":[[[0,0],[1,0],[1,1],[0,0]]]}');
    expect(areaOf(store, 'peninsula')?.covers).toEqual({
      kind: 'shape',
      ring: [
        [0, 0],
        [1, 0],
        [1, 1],
      ],
    });
  });

  test('is asked which of several shapes of a file it has', async () => {
    const store = await open({ area: 'peninsula' });
    fireEvent.press(screen.getByText('a shape'));
    await pickFile('Take the shape from a GeoJSON file', TWO_SHAPES);
    expect(screen.getByText('The file has 2 shapes. Which is it?')).toBeTruthy();
    fireEvent.press(screen.getByText('Shape 2'));
    expect(areaOf(store, 'peninsula')?.covers).toEqual({ kind: 'shape', ring: SECOND });
    expect(screen.queryByText(/Which is it/)).toBeNull();
    expect(screen.getByText('Holes were left out: an area has none.')).toBeTruthy();
  });

  test('is drawn corner by corner with the keys, taken back, given up, and closed', async () => {
    const store = await open({ area: 'peninsula' });
    fireEvent.press(screen.getByText('a shape'));
    const before = areaOf(store, 'peninsula')?.covers;
    const draw = async (): Promise<void> => {
      fireEvent.press(screen.getByText('Draw it again on the map'));
      await screen.findByLabelText(/^Drawing a shape/);
    };
    const press = (...keys: string[]): void => {
      for (const key of keys)
        fireEvent(screen.getByLabelText(/^Drawing a shape/), 'keyDown', {
          key,
          shiftKey: true,
          preventDefault: () => undefined,
        });
    };
    await draw();
    fireEvent(screen.getByLabelText(/^Drawing a shape/), 'layout', {
      nativeEvent: { layout: { width: 602 } },
    });
    press('Enter', 'Escape');
    expect(screen.queryByLabelText(/^Drawing a shape/)).toBeNull();
    expect(areaOf(store, 'peninsula')?.covers).toBe(before);
    await draw();
    press('Enter', 'ArrowRight', 'Enter', 'ArrowLeft', 'Enter', 'Backspace');
    expect(screen.getByText(/^2 corners\. Press where/)).toBeTruthy();
    press('ArrowDown', ' ');
    fireEvent.press(screen.getByText('Close the shape'));
    const covers = areaOf(store, 'peninsula')?.covers;
    const ring = covers?.kind === 'shape' ? covers.ring : [];
    expect(ring).toHaveLength(3);
    const [[lngA, latA], [lngB, latB], [lngC, latC]] = ring as [Position, Position, Position];
    expect([lngB > lngA, latB === latA, lngC === lngA, latC < latA]).toEqual([true, true, true, true]);
  });

  test('has its shape moved by the arrow keys, and corners put in and taken out', async () => {
    const store = await open({ area: 'peninsula' });
    fireEvent.press(screen.getByText('a shape'));
    await screen.findByLabelText('Corner 1 of Peninsula');
    const ring = () => {
      const covers = areaOf(store, 'peninsula')?.covers;
      return covers?.kind === 'shape' ? covers.ring : [];
    };
    const press = (label: string, key: string): void => {
      fireEvent(screen.getByLabelText(label), 'keyDown', {
        key,
        shiftKey: false,
        preventDefault: () => undefined,
      });
    };
    const [first] = ring();
    press('Corner 1 of Peninsula', 'ArrowUp');
    expect(ring()[0]?.[1]).toBeGreaterThan(first?.[1] ?? 90);
    press('Between corner 1 and the next: one more', 'Enter');
    expect(ring()).toHaveLength(7);
    press('Corner 2 of Peninsula', 'Delete');
    expect(ring()).toHaveLength(6);
  });

  test('has delivery methods, each with what it adds, its days and its time', async () => {
    const store = await open({ area: 'peninsula' });
    fireEvent.press(screen.getByText('Add a delivery method'));
    expect(areaOf(store, 'peninsula')?.methods.map(({ id }) => id)).toEqual(['today', 'cart', 'new-method']);
    const way = within(screen.getByLabelText('Delivery method New method'));
    fireEvent.press(way.getByLabelText(/^Time, New method: /));
    fireEvent.press(way.getByText('Message'));
    expect(areaOf(store, 'peninsula')?.methods[2]?.timing.kind).toBe('words');
    expect(offered(store)).toContain('peninsula:new-method');
    fireEvent.press(way.getByText('Customer picks a slot'));
    expect(areaOf(store, 'peninsula')?.methods[2]?.timing).toMatchObject({
      kind: 'slot',
      minutes: 60,
      horizonDays: 7,
    });
    way.getByLabelText('Time, New method: a slot of 60 minutes in the next 7 days');
    fireEvent.press(way.getByLabelText('Price, New method: nothing added'));
    type('Added to the price', '2.5', 0);
    way.getByLabelText('Price, New method: 2.50 added');
    fireEvent.press(way.getByLabelText('Charged even when delivery is free'));
    way.getByLabelText('Price, New method: 2.50 added, always');
    fireEvent.press(way.getByText('Remove New method'));
    expect(areaOf(store, 'peninsula')?.methods).toHaveLength(2);
    expect(store.getState().session.message).toEqual({
      text: 'Removed New method from Peninsula.',
      undo: true,
    });
  });

  test('is added switched off and open, moved, and removed out of the adjustments that name it', async () => {
    const store = await open();
    fireEvent.press(screen.getByText('Add an area by radius'));
    const added = { active: false, covers: { kind: 'radius', metres: 3_000 } };
    expect(areaOf(store, 'new-radius')).toMatchObject(added);
    fireEvent.press(screen.getByText('Switch on'));
    screen.getByText('This area charges 0.00: customers would get it free.');
    fireEvent.press(screen.getByText('Cancel'));
    expect(areaOf(store, 'new-radius')).toMatchObject(added);
    fireEvent.press(within(screen.getByLabelText('New radius')).getByText('Move up'));
    expect(selectBook(store.getState()).areas.map(({ id }) => id)).toEqual([
      'peninsula',
      'new-radius',
      'harbour-ring',
    ]);
    fireEvent.press(within(screen.getByLabelText('New radius')).getByText('Remove the area'));
    expect(areaOf(store, 'new-radius')).toBeUndefined();
  });

  test('shows the week from the test order’s moment, which is moved along it', async () => {
    const store = await open({ area: 'peninsula' });
    const week = () => within(screen.getByLabelText('Delivery method Electric cart, today'));
    fireEvent.press(week().getByLabelText(/^Time, [^:]*: /));
    expect(
      week().getByText(
        /^Ordered Tue 24 Nov, 10:15: ready Tue 24 Nov, 14:00; 3 times to choose from; cut-off 11:00/,
      ),
    ).toBeTruthy();
    fireEvent.press(week().getByText('An hour later'));
    expect(week().getByText(/^Ordered Tue 24 Nov, 11:15: ready Wed 25 Nov, 14:00; cut-off/)).toBeTruthy();
    expect(offered(store)).not.toContain('peninsula:today');
  });
});

describe('a pickup point', () => {
  test('is charged, limited and made kerbside or not', async () => {
    const store = await open({ pickup: 'nursery-yard' });
    type('Charge for collecting', '2');
    type('Customers up to', '500 m');
    expect(pickupOf(store, 'nursery-yard')).toMatchObject({ charge: 200, maxDistance: 500 });
    expect(offered(store)).not.toContain('nursery-yard');
    fireEvent.press(screen.getByLabelText('Kerbside: the order is brought out to the customer’s car'));
    expect(pickupOf(store, 'nursery-yard')?.kerbside).toBe(false);
  });

  test('shows its instructions as CommonMark; a link that is no page or address stays words', async () => {
    await open({ pickup: 'nursery-yard' });
    type(
      /^How to collect/,
      '**Ring** [here](https://example.org) or [there](javascript:alert(1))\n\n- one\n- two\n\n<b>raw</b>',
    );
    const seen = await screen.findByLabelText('As customers see it');
    await within(seen).findByText('Ring');
    expect(within(seen).getAllByRole('link')).toHaveLength(1);
    expect(within(seen).getAllByText('–')).toHaveLength(2);
    expect(within(seen).queryByText(/<b>/)).toBeNull();
  });

  test('is added, switched on and removed', async () => {
    const store = await open();
    fireEvent.press(screen.getByText('Add a pickup point'));
    expect(pickupOf(store, 'collect-at-the-nursery')).toMatchObject({ active: false, charge: 0 });
    fireEvent.press(screen.getByText('Switch on'));
    expect(offered(store)).toContain('collect-at-the-nursery');
    fireEvent.press(screen.getByText('Remove the pickup point'));
    expect(pickupOf(store, 'collect-at-the-nursery')).toBeUndefined();
  });
});

describe('the map', () => {
  const view = { middle: { lat: 44.65, lng: -63.6 }, metresAPixel: 50 };
  const plane = planeOf(view, 400, 300);

  test('is to scale about its middle, and a pixel leads back to its point', () => {
    const [x, y] = at(plane, { lat: 44.65 + 5_000 / 111_195, lng: -63.6 });
    expect([Math.round(x), Math.round(y)]).toEqual([200, 50]);
    expect(pointAt(plane, 200, 150)).toEqual(view.middle);
  });

  test('is moved and zoomed within bounds, and holds all that the book draws', () => {
    expect(moved(plane, 0, -20).middle.lat).toBeGreaterThan(44.65);
    expect(zoomed(view, 2).metresAPixel).toBe(25);
    expect(zoomed(view, 1e6).metresAPixel).toBe(2);
    const book = selectBook(demoStore().getState());
    const whole = wholeView(book, 400, 300);
    expect(whole.metresAPixel * 300).toBeGreaterThan(2 * 18_000);
    expect(wholeView({ ...book, locations: [], areas: [] }, 400, 300).middle).toEqual({ lat: 0, lng: 0 });
  });

  test('writes the words that have room, needed ones always', () => {
    const label = (key: string, isNeeded: boolean, x = 0): Label => ({
      key,
      text: 'B3H',
      size: 10,
      isNeeded,
      places: [[x, 10]],
    });
    const keys = (labels: Label[]): string[] => placedLabels(labels, []).map(({ key }) => key);
    expect(keys([label('a', true), label('b', false), label('c', true), label('d', false, 100)])).toEqual([
      'a',
      'c',
      'd',
    ]);
    const beside: Label = {
      ...label('e', false),
      places: [
        [0, 10],
        [60, 10],
      ],
    };
    expect(placedLabels([label('a', true), beside], [])[1]).toMatchObject({ key: 'e', x: 60 });
    const needed = { ...beside, isNeeded: true };
    expect(placedLabels([label('a', true), needed], [[60, 10]])[1]).toMatchObject({ key: 'e', x: 60 });
  });
});
