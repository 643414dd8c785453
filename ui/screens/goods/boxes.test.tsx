import { act, fireEvent, screen } from '@testing-library/react-native';
import type { Book } from '../../../core/model/book.ts';
import { makeQuestion } from '../../../carriers/testing/question.ts';
import { bookShipment, cancelShipment } from '../../carriers/shipments.ts';
import { carrierById } from '../../../carriers/stand-ins.ts';
import { Locations } from '../settings/locations.tsx';
import { PackingFields } from '../../fields/packing-fields.tsx';
import ParcelList from '../../preview/parcel-list.tsx';
import { edit } from '../../state/draft.ts';
import { selectBook, selectPreview } from '../../state/selectors.ts';
import type { AppStore } from '../../state/store.ts';
import { demoStore, renderOver, placesAtHand } from '../../testing/store.tsx';
import { BoxPanel } from './box-panel.tsx';
import BoxesPage from './boxes-page.tsx';

beforeAll(placesAtHand);

const bookOf = (store: AppStore): Book => selectBook(store.getState());
const type = (label: string | RegExp, text: string): void => {
  fireEvent(screen.getByLabelText(label), 'focus');
  fireEvent.changeText(screen.getByLabelText(label), text);
  fireEvent(screen.getByLabelText(label), 'blur');
};

describe('the boxes', () => {
  test('are drawn with what they hold and cost, and a carrier’s own are offered once', () => {
    const store = demoStore();
    renderOver(store, <BoxesPage open={null} />);
    expect(screen.getByLabelText('Medium carton, to scale')).toBeTruthy();
    expect(screen.getByText(/40 × 30 × 30 cm · 36 L · up to 15 kg · weighs 320 g · costs 1.25/)).toBeTruthy();
    expect(screen.queryByText('Add Gannet box, small')).toBeNull();
    act(() => void store.dispatch(edit('removeBox', { id: 'gannet-s' }, 'remove')));
    fireEvent.press(screen.getByText('Add Gannet box, small'));
    expect(bookOf(store).boxes.at(-1)).toMatchObject({ carrierBox: { carrier: 'gannet', code: 'GB-S' } });
    fireEvent.press(screen.getByText('Add a box'));
    expect(bookOf(store).boxes.at(-1)?.name).toBe('New box');
  });

  test('are changed field by field, and say who packs into them', () => {
    const store = demoStore();
    const box = bookOf(store).boxes.find(({ id }) => id === 'medium');
    if (!box) throw new Error('the demo has no such box');
    renderOver(store, <BoxPanel box={box} />);
    expect(screen.getByText('Packed into by the store, Fulmar Parcel, Gannet Post.')).toBeTruthy();
    type('Inside: length, width, height', '41 x 31 x 29 cm');
    type('Holds at most', '12 kg');
    type('Costs', '');
    const changed = bookOf(store).boxes.find(({ id }) => id === 'medium');
    expect(changed).toMatchObject({ inside: { length: 410, width: 310, height: 290 }, maxWeight: 12_000 });
    expect(changed).not.toHaveProperty('cost');
    fireEvent.press(screen.getByText('Remove Medium carton'));
    expect(bookOf(store).boxes.some(({ id }) => id === 'medium')).toBe(false);
  });

  test('are ticked in a plan, a carrier’s own only for that carrier', () => {
    const plans: unknown[] = [];
    renderOver(
      demoStore(),
      <PackingFields
        packing={{ kind: 'boxes', boxIds: ['small'] }}
        carrier="fulmar"
        onChange={(plan) => plans.push(plan)}
      />,
    );
    expect(screen.queryByLabelText('Gannet box, small')).toBeNull();
    fireEvent.press(screen.getByLabelText('Large carton'));
    fireEvent.press(screen.getByLabelText('Small carton'));
    expect(plans).toEqual([
      { kind: 'boxes', boxIds: ['small', 'large'] },
      { kind: 'boxes', boxIds: [] },
    ]);
  });
});

test('the preview draws each parcel with what lies in it, once it is opened', () => {
  const store = demoStore();
  const preview = selectPreview(store.getState());
  if (!preview?.ok) throw new Error('the test order cannot be quoted');
  renderOver(store, <ParcelList parcels={preview.quote.parcels} />);
  expect(screen.queryByText('2 × Glazed pot, 26 cm')).toBeNull();
  fireEvent.press(screen.getByText('1 parcel'));
  expect(screen.getByText('2 × Glazed pot, 26 cm')).toBeTruthy();
  expect(screen.getByText(/Twin pot carton, 56.5 × 29 × 28 cm, 6.86 kg, 89 % full/)).toBeTruthy();
});

test('the last location stays while a carrier account ships from it', () => {
  const store = demoStore();
  act(() => void store.dispatch(edit('removeLocation', { id: 'market-stall' }, 'remove')));
  renderOver(store, <Locations />);
  fireEvent.press(screen.getByText('The Nursery'));
  expect(screen.getByText('Carriers, delivery areas or pickup points need it, so it stays.')).toBeTruthy();
  fireEvent.press(screen.getByText('Remove the location'));
  expect(bookOf(store).locations).toHaveLength(1);
});

describe('a shipment over HTTP', () => {
  const booking = {
    question: makeQuestion(),
    service: 'ground',
    reference: 'W-1',
    bookedAt: '2026-11-25T14:00:00Z',
  };
  const booked = carrierById('fulmar')?.book(booking);
  const answering = (body: unknown): void => {
    global.fetch = jest.fn(() => Promise.resolve({ json: () => Promise.resolve(body) })) as never;
  };

  test('is what the carrier answers, or why it is not', async () => {
    answering({ shipment: booked?.ok ? booked.shipment : null });
    expect(await bookShipment(booking)).toEqual(booked);
    answering({ detail: 'no such service' });
    expect(await bookShipment(booking)).toEqual({ ok: false, text: 'no such service' });
    answering({});
    expect(await bookShipment(booking)).toMatchObject({ ok: false });
  });

  test('fails in a sentence where the carrier cannot be reached', async () => {
    global.fetch = jest.fn(() => Promise.reject(new Error('gone'))) as never;
    expect(await bookShipment(booking)).toMatchObject({
      ok: false,
      text: expect.stringContaining('could not be reached'),
    });
    if (booked?.ok) expect(await cancelShipment(booked.shipment)).toMatchObject({ ok: false });
  });
});
