import { act, fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import { selectBook, selectPreview, selectUndo } from '../../state/selectors.ts';
import { edit, undone } from '../../state/draft.ts';
import type { AppStore } from '../../state/store.ts';
import { currentAddress, goTo } from '../../testing/router.ts';
import { demoStore, renderOver } from '../../testing/store.tsx';
import { ChargesScreen } from './charges-screen.tsx';

const open = (params: Record<string, string> = {}): AppStore => {
  goTo({ params });
  const store = demoStore();
  renderOver(store, <ChargesScreen />);
  return store;
};
const rateOf = (store: AppStore, id: string) =>
  selectBook(store.getState()).rates.find((rate) => rate.id === id);
const chargeOf = (store: AppStore, id: string): number | undefined => {
  const preview = selectPreview(store.getState());
  return preview?.ok ? preview.quote.choices.find((choice) => choice.id === id)?.charge : undefined;
};
const press = (name: string | RegExp): void => fireEvent.press(screen.getByLabelText(name));
const pressText = (text: string): void => fireEvent.press(screen.getByText(text));
const type = (label: string, text: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};

describe('the board', () => {
  test('says each cell in a few words, a missing rate and one left out differently', () => {
    open();
    expect(
      screen.getByLabelText('Parcel to Maritimes: 8.50 to 24.00, by weight, free from 85.00'),
    ).toBeTruthy();
    expect(screen.getByLabelText('Parcel to North: no rate, cannot be chosen here')).toBeTruthy();
    expect(screen.getByLabelText('Pallet to North: not offered')).toBeTruthy();
    expect(screen.getByText('places in no other zone')).toBeTruthy();
  });

  test('opens a cell, a zone and a service by its address, and closes it again', async () => {
    open();
    press(/^Parcel to West:/);
    expect(currentAddress().params).toEqual({ zone: 'west', service: 'parcel' });
    expect(screen.getByText('Parcel to West')).toBeTruthy();
    press('Close Parcel to West');
    expect(screen.queryByText('Parcel to West')).toBeNull();
    press('Zone West');
    expect(currentAddress().params).toEqual({ zone: 'west', panel: 'zone' });
    press('Zone West');
    expect(currentAddress().params).toEqual({});
    press('Service Express');
    expect((await screen.findByLabelText('Service, as customers see it')).props.value).toBe('Express');
  });

  test('shows nothing open where the address names what is gone', () => {
    open({ zone: 'moon', service: 'parcel' });
    expect(screen.queryByText(/^Parcel to/)).toBeNull();
    expect(screen.getByText('Maritimes')).toBeTruthy();
  });

  test('selects cells, rows and columns, and raises them together', async () => {
    const store = open();
    pressText('Select rates');
    press(/^Parcel to Maritimes:/);
    expect(screen.getByText('1 rate selected')).toBeTruthy();
    press('Zone Maritimes');
    expect(screen.getByText('4 rates selected')).toBeTruthy();
    press('Zone Maritimes');
    expect(screen.getByText('0 rates selected')).toBeTruthy();
    press('Service Pallet');
    pressText('Raise or lower');
    await screen.findByLabelText('By how many %');
    type('By how many %', '10');
    pressText('Change 4 rates');
    await waitFor(() => expect(rateOf(store, 'pallet-maritimes')?.price).toMatchObject({ amount: 7_040 }));
    expect(store.getState().session.message?.text).toBe('4 rates changed by 10 %.');
    pressText('Switch off');
    expect(rateOf(store, 'pallet-west')?.active).toBe(false);
    pressText('Done selecting');
    expect(screen.getByText('Select rates')).toBeTruthy();
  });
});

describe('a rate', () => {
  const PARCEL = { zone: 'maritimes', service: 'parcel' };

  test('has its steps edited in place, and one visit is one step of undo', () => {
    const store = open(PARCEL);
    type('Charge from 5 kg', '10.50');
    expect(chargeOf(store, 'parcel-maritimes')).toBe(1_230);
    expect(selectUndo(store.getState())).toBe('Parcel to Maritimes: price');
    act(() => void store.dispatch(undone()));
    expect(chargeOf(store, 'parcel-maritimes')).toBe(1_730);
    expect(screen.getByLabelText('Charge from 5 kg').props.value).toBe('15.50');
  });

  test('has steps added, taken out, and put in order', () => {
    const store = open(PARCEL);
    pressText('Add a step');
    expect(screen.getByLabelText('Charge from 15 kg').props.value).toBe('24.00');
    press('Remove the step from 15 kg');
    type('Weight from, step 1', '20 kg');
    expect(screen.getByText(/steps are not in order/)).toBeTruthy();
    pressText('Put in order');
    expect(rateOf(store, 'parcel-maritimes')?.price).toMatchObject({
      steps: [{ from: 2_000 }, { from: 5_000 }, { from: 10_000 }, { from: 20_000, amount: 850 }],
    });
  });

  test('adds for what lies above a step, and a share of the subtotal', () => {
    const store = open(PARCEL);
    press('Add for what lies above 5 kg');
    type('Plus', '1.00');
    expect(chargeOf(store, 'parcel-maritimes')).toBe(1_730 + 200);
    pressText('In proportion');
    expect(chargeOf(store, 'parcel-maritimes')).toBe(1_730 + 140);
    type('% of subtotal', '10');
    expect(chargeOf(store, 'parcel-maritimes')).toBe(1_730 + 140 + 710);
    press('Hide what is added from 5 kg');
    expect(screen.getByText('plus 1.00 for each 1 kg above, plus 10 % of the subtotal')).toBeTruthy();
  });

  test('ends where it is told to', () => {
    const store = open(PARCEL);
    type('Not offered at or above', '6 kg');
    expect(chargeOf(store, 'parcel-maritimes')).toBeUndefined();
    type('Not offered at or above', '');
    expect(chargeOf(store, 'parcel-maritimes')).toBe(1_730);
  });

  test('goes from steps to a flat price and back to the steps it had', () => {
    const store = open(PARCEL);
    const steps = rateOf(store, 'parcel-maritimes')?.price;
    pressText('Flat');
    expect(rateOf(store, 'parcel-maritimes')?.price).toEqual({ kind: 'flat', amount: 850, per: 'order' });
    type('Charge for the order', '9');
    expect(chargeOf(store, 'parcel-maritimes')).toBe(1_080);
    pressText('Steps');
    expect(rateOf(store, 'parcel-maritimes')?.price).toEqual(steps);
  });

  test('keeps the meaning of its steps by another measure', () => {
    const store = open(PARCEL);
    pressText('Subtotal');
    expect(rateOf(store, 'parcel-maritimes')?.price).toMatchObject({
      basis: 'subtotal',
      steps: [{ from: 0 }, { from: 200 }, { from: 500 }, { from: 1_000 }],
    });
    expect(screen.getByLabelText('Charge from 5.00')).toBeTruthy();
  });

  test('takes rows that are pasted, and shows what was read first', async () => {
    const store = open(PARCEL);
    pressText('Paste rows');
    fireEvent.changeText(await screen.findByLabelText('Rows to paste'), '1 kg\t5\n3 kg\t7.50\nnote');
    expect(screen.getByText('From 1 kg: 5.00; 3 kg: 7.50')).toBeTruthy();
    expect(screen.getByText('Line 3 was not understood: note')).toBeTruthy();
    pressText('the last value in it');
    expect(screen.getByText('From 0 kg: 5.00; 1.001 kg: 7.50; ends before 3.001 kg')).toBeTruthy();
    pressText('Put 2 steps in place of the 4');
    expect(rateOf(store, 'parcel-maritimes')?.price).toMatchObject({
      steps: [{ from: 0 }, { from: 1_001 }],
      until: 3_001,
    });
  });

  test('has limits, handling, thresholds, days and what is told, each taken out when emptied', () => {
    const store = open(PARCEL);
    pressText('Limits, handling and more');
    type('Weight, at most', '6 kg');
    expect(rateOf(store, 'parcel-maritimes')?.limits).toEqual({
      weight: { max: 6_000 },
      longestSide: { max: 1_500 },
    });
    type('Weight, at most', '');
    type('Longest side, at most', '');
    expect(rateOf(store, 'parcel-maritimes')).not.toHaveProperty('limits');
    type('Handling amount', '');
    expect(rateOf(store, 'parcel-maritimes')).not.toHaveProperty('handling');
    type('% of the charge so far', '10');
    expect(chargeOf(store, 'parcel-maritimes')).toBe(1_550 + 155);
    type('Free from a subtotal of', '70');
    expect(chargeOf(store, 'parcel-maritimes')).toBe(0);
    type('Free from a subtotal of', '');
    type('Never less than', '30');
    expect(chargeOf(store, 'parcel-maritimes')).toBe(3_000);
    type('Never less than', '');
    expect(rateOf(store, 'parcel-maritimes')).not.toHaveProperty('bounds');
    type('At the earliest', '6');
    expect(rateOf(store, 'parcel-maritimes')?.transit).toEqual({ min: 6, max: 6 });
    type('Message to the customer', 'Ask us.');
    expect(rateOf(store, 'parcel-maritimes')?.message).toBe('Ask us.');
    press('Tell the customer why, where it is not offered');
    expect(rateOf(store, 'parcel-maritimes')?.whenWithheld).toBe('hide');
    press('Taxed like other charges at the destination');
    expect(rateOf(store, 'parcel-maritimes')?.taxable).toBe(false);
  });

  test('keeps what was typed for each kind of price while its fields are open', () => {
    const store = open(PARCEL);
    const before = rateOf(store, 'parcel-maritimes')?.price;
    for (const kind of ['Percent', 'Per product', 'Table', 'Flat']) pressText(kind);
    expect(rateOf(store, 'parcel-maritimes')?.price.kind).toBe('flat');
    pressText('Steps');
    expect(rateOf(store, 'parcel-maritimes')?.price).toEqual(before);
  });

  test('of 0.00 asks before it is switched on', () => {
    const store = open(PARCEL);
    pressText('Switch off');
    const price = { kind: 'flat', amount: 0, per: 'order' } as const;
    act(() => void store.dispatch(edit('setRate', { id: 'parcel-maritimes', changes: { price } }, 'price')));
    pressText('Switch on');
    expect(rateOf(store, 'parcel-maritimes')?.active).toBe(false);
    pressText('Cancel');
    pressText('Switch on');
    pressText('Switch on at 0.00');
    expect(rateOf(store, 'parcel-maritimes')?.active).toBe(true);
  });

  test('is switched off and on, copied, left out and removed', () => {
    const store = open(PARCEL);
    pressText('Switch off');
    expect(screen.getByText('Switched off: customers do not see it.')).toBeTruthy();
    pressText('Switch on');
    pressText('Copy to other zones');
    press('North');
    press('West, replacing the rate there');
    pressText('Copy to 2 zones');
    expect(rateOf(store, 'parcel-north')).toMatchObject({ zoneId: 'north', freeFrom: 8_500 });
    expect(rateOf(store, 'parcel-west')).toMatchObject({ zoneId: 'west', freeFrom: 8_500 });
    pressText('Not offered here, on purpose');
    expect(screen.getByText('Parcel is deliberately not offered in Maritimes.')).toBeTruthy();
    pressText('Offer it here after all');
    expect(screen.getByText(/^Parcel has no rate here/)).toBeTruthy();
    pressText('Add a rate');
    expect(screen.getByText('Switched off: give it a price, then switch it on.')).toBeTruthy();
    pressText('Remove the rate');
    expect(rateOf(store, 'parcel-maritimes')).toBeUndefined();
    expect(store.getState().session.message).toEqual({
      text: 'Parcel to Maritimes: rate removed.',
      undo: true,
    });
  });
});

describe('a zone', () => {
  test('is renamed, given other places, switched off, moved, copied and removed', () => {
    const store = open({ zone: 'west', panel: 'zone' });
    const zoneAt = () => selectBook(store.getState()).zones.findIndex((zone) => zone.id === 'west');
    type('Zone', 'Prairies and coast');
    const label = 'Except: countries and regions by name, codes such as CA: B3J*';
    fireEvent.press(screen.getAllByText('As text')[1] as never);
    type(label, 'CA-BC');
    type(label, 'Atlantis');
    expect(screen.getByText(/^“Atlantis” is not a place.*Kept: CA-BC$/)).toBeTruthy();
    expect(selectBook(store.getState()).zones[zoneAt()]).toMatchObject({
      name: 'Prairies and coast',
      excludes: [{ country: 'CA', subdivision: 'CA-BC' }],
    });
    press('Active');
    expect(selectBook(store.getState()).zones[zoneAt()]?.active).toBe(false);
    pressText('Move up');
    expect(zoneAt()).toBe(2);
    pressText('Move down');
    expect(zoneAt()).toBe(3);
    pressText('Copy the zone');
    expect(selectBook(store.getState()).zones[4]?.name).toBe('Prairies and coast, copy');
    pressText('Remove the zone');
    expect(zoneAt()).toBe(-1);
    expect(store.getState().session.message?.text).toBe(
      'Removed Prairies and coast with 4 rates. Its places go to other zones.',
    );
  });
});

describe('a service', () => {
  test('is renamed, given a note, moved, switched off everywhere and removed', () => {
    const store = open({ service: 'express', panel: 'service' });
    const ids = () => selectBook(store.getState()).services.map((service) => service.id);
    type('Service, as customers see it', 'Night mail');
    type('A note under it', '');
    expect(selectBook(store.getState()).services[2]).toEqual({ id: 'express', name: 'Night mail' });
    pressText('Move left');
    expect(ids()).toEqual(['seed-mail', 'express', 'parcel', 'pallet']);
    pressText('Switch off everywhere');
    expect(chargeOf(store, 'express-maritimes:two-day')).toBeUndefined();
    pressText('Switch on everywhere');
    expect(chargeOf(store, 'express-maritimes:two-day')).toBe(3_367);
    pressText('Remove the service');
    expect(ids()).toEqual(['seed-mail', 'parcel', 'pallet']);
    expect(store.getState().session.message?.text).toBe('Removed Night mail with 6 rates.');
  });
});

describe('what is added', () => {
  test('a zone goes before the one of everywhere else, and a name is needed', async () => {
    const store = open();
    pressText('Add a zone');
    const form = within(await screen.findByLabelText('New zone'));
    fireEvent.press(form.getByText('Add the zone'));
    expect(await form.findByText('A name is needed, of at most 120 characters.')).toBeTruthy();
    fireEvent.changeText(form.getByLabelText('Name of the new zone'), 'Saint Pierre');
    fireEvent.changeText(form.getByLabelText('Its places: CA, CA-NS, or CA: B3H*, B3J*'), 'PM, Nunavut');
    fireEvent.press(form.getByText('Add the zone'));
    await screen.findByText('Saint Pierre');
    expect(selectBook(store.getState()).zones.at(-2)).toMatchObject({
      id: 'saint-pierre',
      includes: [{ country: 'PM' }, { country: 'CA', subdivision: 'CA-NU' }],
    });
  });

  test('a service comes last, and its cells are empty', async () => {
    const store = open();
    pressText('Add a service');
    fireEvent.changeText(screen.getByLabelText('Name of the new service'), 'Night mail');
    fireEvent.press(screen.getByText('Add the service'));
    expect(await screen.findByLabelText('Night mail to West: no rate, cannot be chosen here')).toBeTruthy();
    expect(selectBook(store.getState()).services.at(-1)).toEqual({ id: 'night-mail', name: 'Night mail' });
  });
});

describe('the kinds of price', () => {
  const priceOf = (store: AppStore) =>
    selectBook(store.getState()).rates.find(({ id }) => id === 'seed-mail-maritimes')?.price;
  const openFlat = () => open({ zone: 'maritimes', service: 'seed-mail' });

  test('count units, lines and parcels, with the first at its own price', () => {
    const store = openFlat();
    pressText('unit');
    type('Charge for a unit', '1.50');
    type('The first unit, where it costs something else', '4');
    expect(priceOf(store)).toEqual({ kind: 'flat', amount: 150, per: 'unit', first: 400 });
    pressText('order');
    expect(priceOf(store)).toEqual({ kind: 'flat', amount: 150, per: 'order' });
  });

  test('change into each other, and never into nothing', () => {
    const store = openFlat();
    pressText('Percent');
    expect(priceOf(store)).toEqual({ kind: 'percent', points: 1_000, min: 210 });
    type('% of the subtotal', '7.5');
    type('but at least', '');
    type('and at most', '30');
    expect(priceOf(store)).toEqual({ kind: 'percent', points: 750, max: 3_000 });
    pressText('Per product');
    pressText('once per order line');
    type('Products without a price of their own', '');
    expect(priceOf(store)).toEqual({ kind: 'per-product', otherwise: null, per: 'line' });
    expect(
      screen.getByText(/0 products with a price of their own, 30 without: a basket that holds one/),
    ).toBeTruthy();
    pressText('Steps');
    pressText('each parcel');
    expect(priceOf(store)).toMatchObject({ kind: 'steps', per: 'parcel' });
  });
});

test('the made-up shop says what it is until something is changed', () => {
  const store = open({});
  expect(screen.getByText('A made-up shop to try things on.')).toBeTruthy();
  fireEvent.press(screen.getByText('Start a shop of your own'));
  expect(currentAddress().pathname).toBe('/begin');
  act(() => void store.dispatch(edit('setZone', { id: 'west', changes: { name: 'Prairies' } }, 'West')));
  expect(screen.queryByText('A made-up shop to try things on.')).toBeNull();
});
