import { act, fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import type { PastOrder } from '../../../core/model/order.ts';
import { ordersTaken } from '../../state/orders.ts';
import { HELD_MS } from '../../state/holds.ts';
import { ENGLISH_WORDS, FRENCH_WORDS } from '../../../core/testing/words.ts';
import { loadCustomerWords } from '../../customer-words/use-customer-words.ts';
import { edit } from '../../state/draft.ts';
import { selectPreview, selectTestOrder } from '../../state/selectors.ts';
import { currentAddress, goTo } from '../../testing/router.ts';
import { writtenAddress } from '../../places/written-address.ts';
import { choose, fill, openCheckout, typeAddress } from '../../testing/checkout.tsx';
import { demoStore, renderOver } from '../../testing/store.tsx';
import {
  addressFaults,
  addressLines,
  destinationOf,
  EMPTY_ADDRESS,
  fieldFaultText,
  type AddressValues,
} from './address-form.ts';
import Shopfront from './shopfront.tsx';
import { otherClock } from './slot-picker.tsx';

jest.setTimeout(60_000);
beforeAll(loadCustomerWords);

const HALIFAX: AddressValues = {
  country: 'CA',
  name: 'Ines Varga',
  line1: '4 Tide Lane',
  line2: '',
  city: 'Halifax',
  subdivision: 'CA-NS',
  postalCode: 'b3h 4r2',
};

describe('an address', () => {
  const fields = (country: string) =>
    addressLines(country).map((line) => line.map(({ field }) => field).join(' '));

  test('has the fields of its country, in the order its post writes them', () => {
    expect(fields('CA')).toEqual(['name', 'line1', 'line2', 'city subdivision postalCode']);
    expect(fields('DE')).toEqual(['name', 'line1', 'line2', 'postalCode city']);
    expect(fields('GB')).toEqual(['name', 'line1', 'line2', 'city', 'postalCode']);
    expect(fields('JP')).toEqual(['name', 'line1', 'line2', 'subdivision', 'postalCode']);
    expect(fields('JE')).toEqual(['name', 'line1', 'line2', 'city', 'postalCode']);
    const label = (country: string, field: string) =>
      addressLines(country)
        .flat()
        .find((spec) => spec.field === field)?.label;
    expect([label('US', 'postalCode'), label('US', 'subdivision'), label('JP', 'subdivision')]).toEqual([
      'address.code-US',
      'address.region-US',
      'address.region-JP',
    ]);
  });

  test('is sound when what its country needs is there, whatever the case of the code', () => {
    expect(addressFaults(HALIFAX)).toEqual({});
    expect(
      addressFaults({ country: 'HK', ...EMPTY_ADDRESS, name: 'A', line1: 'B', city: 'C', subdivision: 'D' }),
    ).toEqual({});
  });

  const faultsOf = (values: AddressValues, words = ENGLISH_WORDS) =>
    Object.fromEntries(
      Object.entries(addressFaults(values)).map(([field, found]) => [field, fieldFaultText(found, words)]),
    );

  test('says of each field what is wrong with it', () => {
    expect(faultsOf({ country: 'CA', ...EMPTY_ADDRESS })).toEqual({
      name: 'Full name is needed.',
      line1: 'Street and number is needed.',
      city: 'Town is needed.',
      subdivision: 'Province or territory is needed.',
      postalCode: 'Postal code is needed.',
    });
    expect(faultsOf({ ...HALIFAX, postalCode: 'B3H 4R' })).toEqual({
      postalCode: '“B3H 4R” is not a valid postal code for this country.',
    });
    expect(faultsOf({ ...HALIFAX, subdivision: 'CA-ON' })).toEqual({
      postalCode: '“b3h 4r2” is in CA-NS, not in CA-ON.',
    });
    expect(faultsOf({ ...HALIFAX, city: 'x'.repeat(121) })).toEqual({ city: 'At most 120 characters.' });
    expect(faultsOf({ ...HALIFAX, city: '', postalCode: 'B3H' }, FRENCH_WORDS)).toEqual({
      city: 'À remplir : Ville.',
      postalCode: '« B3H » ne convient pas à ce pays (code postal).',
    });
  });

  test('says where the order goes as soon as country, region and code can be trusted', () => {
    expect(destinationOf({ ...HALIFAX, name: '', line1: '', city: '' })).toEqual({
      country: 'CA',
      subdivision: 'CA-NS',
      postalCode: 'b3h 4r2',
    });
    expect(destinationOf({ ...HALIFAX, postalCode: '' })).toBeNull();
    expect(destinationOf({ ...HALIFAX, country: 'DE', postalCode: '10115' })).toEqual({
      country: 'DE',
      postalCode: '10115',
      city: 'Halifax',
      lines: ['4 Tide Lane'],
    });
  });

  test('is read again as its post writes it', () => {
    const destination = destinationOf(HALIFAX);
    expect(destination && writtenAddress('Ines Varga', destination)).toEqual([
      'Ines Varga',
      '4 Tide Lane',
      'Halifax NS b3h 4r2',
    ]);
  });
});

describe('the goods and the basket', () => {
  test('are found by name, added, counted and taken out', () => {
    goTo('/shop');
    const store = demoStore();
    const view = renderOver(store, <Shopfront page="goods" />);
    fill('Find', 'pot 26');
    expect(screen.getByText('Nothing by that name.')).toBeTruthy();
    fill('Find', '26 cm');
    fireEvent.press(screen.getByLabelText('Add Glazed pot, 26 cm to the basket'));
    fireEvent.press(screen.getByLabelText('Add Glazed pot, 26 cm to the basket'));
    fireEvent.press(screen.getByLabelText('Add Saucer, 26 cm to the basket'));
    expect(screen.getByText('Basket, 3 items')).toBeTruthy();
    view.unmount();
    renderOver(store, <Shopfront page="basket" />);
    expect(screen.getByText('CAD\u00A080.20')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('One Saucer, 26 cm less'));
    fireEvent.press(screen.getByLabelText('One Glazed pot, 26 cm more'));
    expect(store.getState().basket).toEqual([{ sku: 'pot-26', quantity: 3 }]);
    const many = screen.getByLabelText('How many Glazed pot, 26 cm');
    fireEvent.changeText(many, '12');
    expect(store.getState().basket).toEqual([{ sku: 'pot-26', quantity: 12 }]);
    fireEvent.changeText(many, '0');
    expect(store.getState().basket).toEqual([{ sku: 'pot-26', quantity: 12 }]);
    fireEvent.press(screen.getByLabelText('Remove Glazed pot, 26 cm'));
    expect(screen.getByText('The basket is empty.')).toBeTruthy();
    fireEvent.press(screen.getByText('Look at the products'));
    expect(currentAddress().pathname).toBe('/shop');
  });
});

describe('the checkout', () => {
  test('places an order with the charge of the preview, every tax on its line', async () => {
    const store = await openCheckout(['pot-26', 'pot-26']);
    expect(
      screen.getByText('Shown once this is filled in: Province or territory, Postal code.'),
    ).toBeTruthy();
    await typeAddress();
    await screen.findByLabelText('Parcel, 17.30');
    for (const text of ['GST, 5 %', 'HST, provincial part, 9 %', '4.42', '7.95', 'CAD\u00A0100.67'])
      expect(screen.getByText(text)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Pallet, 66.56'));
    expect(screen.getByText('CAD\u00A0156.82')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Parcel, 17.30'));
    fireEvent.press(screen.getByText('Place the order'));
    await waitFor(() =>
      expect(currentAddress()).toEqual({ pathname: '/shop/order', params: { number: '1001' } }),
    );
    const [order] = store.getState().orders;
    expect(order).toMatchObject({
      chosen: { id: 'parcel-maritimes', charge: 1730 },
      recipient: 'Ines Varga',
      sums: { goods: 7100, taxes: 1237, total: 10067 },
    });
    expect(store.getState().basket).toEqual([]);
  });

  test('shows the order again, and its preview gives the same charge', async () => {
    const store = await openCheckout(['pot-26', 'pot-26']);
    await typeAddress();
    await screen.findByLabelText('Parcel, 17.30');
    fireEvent.press(screen.getByText('Place the order'));
    await waitFor(() => expect(currentAddress().pathname).toBe('/shop/order'));
    screen.unmount();
    renderOver(store, <Shopfront page="order" />);
    expect(screen.getByText('Thank you. Your order is 1001.')).toBeTruthy();
    expect(screen.getByText('Antigonish NS B2G 2L2')).toBeTruthy();
    fireEvent.press(screen.getByText('For you, the merchant: look at it in the preview'));
    const { testOrder } = selectTestOrder(store.getState());
    expect(testOrder).toMatchObject({
      name: 'Order 1001',
      request: { lines: [{ sku: 'pot-26', quantity: 2 }] },
      expects: [{ kind: 'offered', choiceId: 'parcel-maritimes', charge: 1730 }],
    });
    const preview = selectPreview(store.getState());
    expect(preview?.ok && preview.quote.choices[0]?.charge).toBe(1730);
    expect(currentAddress().pathname).toBe('/charges');
  });

  test('has a day and a time chosen; one that others take meanwhile is released, and said to be', async () => {
    jest.setSystemTime(new Date('2026-11-24T13:00:00Z'));
    const store = await openCheckout(['plant-heather']);
    await typeAddress('Halifax', 'B3H 2Y9');
    await screen.findByLabelText('Electric cart, 6.25');
    fireEvent.press(screen.getByLabelText('Electric cart, 6.25'));
    fireEvent.press(screen.getByText('Place the order'));
    await screen.findByText('Pick a day or time first.');
    fireEvent.press(screen.getByLabelText('16:00–17:00'));
    const slot = { start: '2026-11-24T16:00:00-04:00', end: '2026-11-24T17:00:00-04:00' };
    const other = (number: string): PastOrder => ({
      number,
      request: {
        destination: null,
        lines: [{ sku: 'trowel', quantity: 1 }],
        placedAt: '2026-11-24T12:00:00Z',
      },
      chosen: {
        id: 'peninsula:cart',
        kind: 'delivery',
        of: { areaId: 'peninsula', methodId: 'cart' },
        name: 'Electric cart',
        charge: 625,
        total: 625,
        slot,
      },
      status: 'placed',
      history: [{ status: 'placed', at: '2026-11-24T12:00:00Z' }],
    });
    act(() => void store.dispatch(ordersTaken(['1', '2', '3'].map(other))));
    expect(screen.getByText(/has just been taken by another order\. Pick another/)).toBeTruthy();
    expect(screen.getByLabelText('16:00–17:00, full')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('17:00–18:00'));
    fireEvent.press(screen.getByText('Place the order'));
    await waitFor(() => expect(currentAddress().pathname).toBe('/shop/order'));
    const placed = store.getState().orders.find(({ recipient }) => recipient === 'Ines Varga');
    expect(placed?.chosen).toMatchObject({
      id: 'peninsula:cart',
      slot: { start: '2026-11-24T17:00:00-04:00', end: '2026-11-24T18:00:00-04:00' },
    });
    expect(placed?.request.slotsTaken).toBeUndefined();
  });

  test('keeps a time for a quarter of an hour', async () => {
    jest.setSystemTime(new Date('2026-11-24T13:00:00Z'));
    await openCheckout(['plant-heather']);
    fill('Postal code', 'B3H 2Y9');
    await choose('Province or territory', 'nova', 'Nova Scotia');
    await screen.findByLabelText('Electric cart, 6.25');
    fireEvent.press(screen.getByLabelText('Electric cart, 6.25'));
    fireEvent.press(screen.getByLabelText('16:00–17:00'));
    act(() => jest.advanceTimersByTime(HELD_MS - 1_000));
    expect(screen.queryByText(/was kept for a quarter of an hour/)).toBeNull();
    act(() => jest.advanceTimersByTime(2_000));
    expect(screen.getByText(/was kept for a quarter of an hour\. Pick one again/)).toBeTruthy();
  });

  test('holds a time past the cut-off, as of when it was picked, and says that the order was placed later', async () => {
    jest.setSystemTime(new Date('2026-11-24T14:55:00Z'));
    const store = await openCheckout(['plant-heather']);
    await typeAddress('Halifax', 'B3H 2Y9');
    await screen.findByLabelText('Electric cart, today, 8.75');
    fireEvent.press(screen.getByLabelText('Electric cart, today, 8.75'));
    const [first] = within(screen.getByLabelText('The time')).getAllByRole('radio');
    if (first) fireEvent.press(first);
    act(() => jest.advanceTimersByTime(10 * 60_000));
    fireEvent.press(screen.getByText('Place the order'));
    await waitFor(() => expect(currentAddress().pathname).toBe('/shop/order'));
    const [order] = store.getState().orders;
    expect(order?.chosen.name).toBe('Electric cart, today');
    expect(order?.request.placedAt.slice(0, 16)).toBe('2026-11-24T14:55');
    expect(order?.history?.[0]?.at.slice(0, 16)).toBe('2026-11-24T15:05');
  });

  test('no longer offers what its cut-off took meanwhile, where nothing was picked', async () => {
    jest.setSystemTime(new Date('2026-11-24T14:55:00Z'));
    await openCheckout(['plant-heather']);
    fill('Postal code', 'B3H 2Y9');
    await choose('Province or territory', 'nova', 'Nova Scotia');
    await screen.findByLabelText('Electric cart, today, 8.75');
    act(() => jest.advanceTimersByTime(10 * 60_000));
    expect(screen.queryByLabelText('Electric cart, today, 8.75')).toBeNull();
    expect(screen.getByLabelText('Electric cart, 6.25')).toBeTruthy();
  });

  test('offers a basket that no one way takes in parts: paid in one way, billed to one address, held in time', async () => {
    jest.setSystemTime(new Date('2026-11-24T13:00:00Z'));
    const store = await openCheckout([...Array<string>(7).fill('soil-20'), 'cane-bamboo']);
    await typeAddress('Dartmouth', 'B2W 3T7');
    await screen.findByText('It cannot all go together, but you can have it in 2 parts.');
    expect(screen.getByText('Why it cannot all go together')).toBeTruthy();
    expect(screen.getByText('Getting it to you, in 2 parts')).toBeTruthy();
    fireEvent.press(screen.getByText('Order in 2 parts'));
    await screen.findByText(/: Pick a day or time first\.$/);
    expect(store.getState().orders).toEqual([]);
    // One part comes by the day, which is the whole choice; the other has a time besides.
    for (const list of [...screen.getAllByLabelText('The day'), screen.getByLabelText('The time')]) {
      const [first] = within(list).getAllByRole('radio');
      if (first) fireEvent.press(first);
    }
    expect(Object.keys(store.getState().holds.mine)).toHaveLength(2);
    fireEvent.press(screen.getByLabelText('By card'));
    fireEvent.press(screen.getByText('Order in 2 parts'));
    await waitFor(() => expect(currentAddress().pathname).toBe('/shop/order'));
    const placed = store.getState().orders;
    expect(placed.map(({ payment }) => payment)).toEqual(['card', 'card']);
    expect(placed.map(({ chosen }) => chosen.slot !== undefined)).toEqual([true, true]);
    expect(placed.flatMap(({ request }) => request.lines.map(({ quantity }) => quantity)).sort()).toEqual([
      1, 7,
    ]);
    expect(store.getState()).toMatchObject({ basket: [], holds: { mine: {} } });
  });

  test('says by which clocks its times go, where the customer’s show another', () => {
    const here = (offset: number): string => {
      const sign = offset < 0 ? '-' : '+';
      const two = (part: number): string => String(Math.trunc(part)).padStart(2, '0');
      return `2026-11-24T16:00:00${sign}${two(Math.abs(offset) / 60)}:${two(Math.abs(offset) % 60)}`;
    };
    const local = -new Date('2026-11-24T16:00:00Z').getTimezoneOffset();
    expect(otherClock(here(local), 'America/Halifax')).toBeNull();
    expect(otherClock(here(local - 210), 'America/St_Johns')).toBe('St Johns');
  });

  test('names what is wrong with the address and places nothing', async () => {
    const store = await openCheckout(['pot-26']);
    fill('Postal code', 'B2G');
    fireEvent.press(screen.getByText('Place the order'));
    // Once at the field, once beside the button.
    await waitFor(() =>
      expect(screen.getAllByText('“B2G” is not a valid postal code for this country.')).toHaveLength(2),
    );
    expect(screen.getAllByText('Full name is needed.')).toHaveLength(2);
    expect(screen.getAllByText('An e-mail address or a phone number is needed.')).toHaveLength(2);
    expect(store.getState().orders).toEqual([]);
  });

  test('asks for a billing address only where it is another', async () => {
    const store = await openCheckout(['pot-26']);
    await typeAddress();
    fireEvent.press(screen.getByLabelText('The bill goes to the same address'));
    expect(screen.getAllByLabelText('Full name')).toHaveLength(2);
    fireEvent.press(screen.getByText('Place the order'));
    await waitFor(() => expect(screen.getAllByText('Full name is needed.')).toHaveLength(2));
    expect(store.getState().orders).toEqual([]);
  });

  test('tells the customer who cannot buy why, and what would help', async () => {
    await openCheckout(['pot-salt']);
    await typeAddress();
    await screen.findByText('We cannot take this order as it is.');
    expect(screen.getByText(/We do not have the weight of Salt-glaze planter on record/)).toBeTruthy();
    expect(screen.getByText('Order without it, or write to us.')).toBeTruthy();
  });

  test('follows the draft', async () => {
    const store = await openCheckout(['pot-26', 'pot-26']);
    await typeAddress();
    await screen.findByLabelText('Parcel, 17.30');
    act(() => void store.dispatch(edit('openCountries', { countries: ['CA'], open: false }, 'close')));
    expect(screen.getByText('We do not send to this address.')).toBeTruthy();
  });

  test('of an empty basket, or of an order that is not here, says so', async () => {
    await openCheckout([]);
    expect(screen.getByText('The basket is empty, so there is nothing to order.')).toBeTruthy();
    screen.unmount();
    goTo({ pathname: '/shop/order', params: { number: '77' } });
    renderOver(demoStore(), <Shopfront page="order" />);
    expect(screen.getByText('There is no order 77 on this device.')).toBeTruthy();
  });
});
