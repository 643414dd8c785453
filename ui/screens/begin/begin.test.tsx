import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { undone } from '../../state/draft.ts';
import { selectBook, selectPreview } from '../../state/selectors.ts';
import { Preview } from '../../preview/preview.tsx';
import { currentAddress, goTo } from '../../testing/router.ts';
import { demoStore, renderOver } from '../../testing/store.tsx';
import {
  answersOf,
  askedSteps,
  emptyValues,
  faultsOfStep,
  nearPatterns,
  QUESTIONS,
  usualHours,
  type BeginValues,
} from './begin-form.ts';
import { proposalsFor } from './country-proposals.ts';
import BeginScreen from './begin-screen.tsx';

jest.setTimeout(60_000);

const VALUES: BeginValues = {
  ...emptyValues('Europe/Dublin'),
  shop: 'Sedge & Slate',
  country: 'IE',
  currency: 'EUR',
  goodName: 'Slate board',
  goodPrice: '32.00',
  goodWeight: '1.2 kg',
  charges: { ...emptyValues('').charges, home: { letters: '', parcels: '7.50', heavy: '' } },
};

describe('the answers as they are typed', () => {
  test('are sound, question by question', () => {
    for (let step = 0; step < 5; step += 1) expect(faultsOfStep(VALUES, step)).toEqual({});
    expect(answersOf(VALUES)).toMatchObject({
      name: 'Sedge & Slate',
      fromName: 'Sedge & Slate',
      homeName: 'Ireland',
      charges: { home: { parcels: 750 } },
      good: { sku: 'slate-board', price: 3_200, weight: 1_200 },
    });
    expect(answersOf(VALUES).hours).toHaveLength(5);
  });

  test('say what is wrong with each', () => {
    const faults = (step: number, part: Partial<BeginValues>) => faultsOfStep({ ...VALUES, ...part }, step);
    expect(faults(0, { shop: ' ', country: '', currency: '' })).toEqual({
      shop: 'A name is needed.',
      country: 'Choose the country that you send from.',
      currency: 'Choose the currency of your prices.',
    });
    expect(faults(0, { postalCode: 'ZZ' }).postalCode).toMatch(/not a postal code of this country/);
    expect(faults(0, { taxPercent: '23' })).toEqual({ taxName: 'Name the tax, as customers know it.' });
    expect(faults(1, { reach: 'listed' })).toHaveProperty('countries');
    expect(faults(0, { country: 'HK', near: true })).toEqual({
      ways: 'Addresses in Hong Kong SAR China have no postal codes, and delivery nearby goes by them. Untick it to go on.',
    });
    expect(faults(2, { goodWeight: 'heavy', kinds: [] })).toEqual({
      goodWeight: 'Write a weight, such as 3.2 kg.',
      kinds: 'Choose at least one.',
    });
    const nothing = { ...VALUES.charges, home: { letters: '', parcels: '0', heavy: '' } };
    expect(faults(2, { charges: nothing })).toEqual({ 'charges.home.parcels': 'Nothing would be charged.' });
    expect(faults(2, { reach: 'everywhere' })).toHaveProperty(['charges.rest.parcels']);
    expect(faults(3, { hours: ['9-17', '17-9', '', '', '', '', ''] })).toHaveProperty(['hours.1']);
    expect(faults(4, { near: true, nearCodes: 'F91, the village', nearCharge: '' })).toEqual({
      nearCodes: 'Not understood: the village.',
      nearCharge: 'Write an amount, such as 12.50.',
    });
  });

  test('are asked only as far as they apply', () => {
    const asked = (part: Partial<BeginValues>) =>
      askedSteps({ ...VALUES, ...part }).map((at) => QUESTIONS[at]);
    expect(asked({ near: true })).toEqual([...QUESTIONS]);
    expect(asked({ ships: false, collect: true })).toEqual([QUESTIONS[0], QUESTIONS[2], QUESTIONS[3]]);
    const collects = { ...VALUES, ships: false, collect: true, goodWeight: '', kinds: [] };
    for (const step of askedSteps(collects)) expect(faultsOfStep(collects, step)).toEqual({});
    expect(answersOf(collects)).toMatchObject({ kinds: [], charges: {}, good: { sku: 'slate-board' } });
    expect(faultsOfStep({ ...collects, collect: false }, 0)).toEqual({ ways: 'Choose at least one.' });
  });

  test('propose what is usual in a country', async () => {
    expect(await proposalsFor('US')).toMatchObject({ currency: 'USD', units: 'imperial' });
    expect(await proposalsFor('IE')).toEqual({
      currency: 'EUR',
      timeZone: 'Europe/Dublin',
      units: 'metric',
      hours: usualHours([6, 7]),
      taxName: 'VAT',
      taxIncluded: true,
    });
    expect(await proposalsFor('CA')).toMatchObject({ taxName: 'GST', taxIncluded: false });
    expect(await proposalsFor('KW')).toMatchObject({
      currency: 'KWD',
      hours: ['9-17', '9-17', '9-17', '9-17', '', '', '9-17'],
    });
    expect(await proposalsFor('CA')).not.toHaveProperty('timeZone');
  });

  test('take the beginning of a code for all that begin so', () => {
    expect(nearPatterns({ ...VALUES, nearCodes: 'F91 F92; D02 AF30' }).patterns).toEqual([
      'F91*',
      'F92*',
      'D02AF30',
    ]);
  });
});

const fill = (label: string, text: string): void => fireEvent.changeText(screen.getByLabelText(label), text);
const choose = async (label: string, text: string, name: string): Promise<void> => {
  const field = await screen.findByLabelText(label);
  fireEvent(field, 'focus');
  await waitFor(() => {
    fireEvent.changeText(screen.getByLabelText(label), text);
    screen.getByLabelText(name);
  });
  fireEvent.press(screen.getByLabelText(name));
};
const on = async (then: string): Promise<void> => {
  fireEvent.press(screen.getByText(/^(Next|Look at the book)$/));
  await screen.findByText(then);
};

describe('the five questions', () => {
  test('lead to a book that is reviewed, used, and taken back by one undo', async () => {
    goTo('/begin');
    const store = demoStore();
    renderOver(store, <BeginScreen />);
    fireEvent.press(screen.getByText('Next'));
    await screen.findByText('Choose the country that you send from.');
    fill('Name of the shop', 'Sedge & Slate');
    await choose('Country', 'irel', 'Ireland');
    fireEvent.press(screen.getByLabelText('Collected at your place, free of charge'));
    // The country proposes what is usual there.
    await waitFor(() => expect(screen.getByLabelText('Currency').props.value).toBe('Euro'));
    expect(screen.getByLabelText('Tax on sales at home (optional)').props.value).toBe('VAT');
    expect(screen.queryByText('contain the tax')).toBeNull();
    fill('its percentage', '23');
    await screen.findByText('contain the tax');
    await on('Where to?');
    fireEvent.press(screen.getByText('Some countries'));
    await choose('Add a country', 'fra', 'France');
    await on('What do you sell?');
    fill('A product that you sell', 'Slate board');
    fill('Its price', '32');
    fill('Its weight', '1.2 kg');
    fill('Parcel, Ireland', '7.50');
    fill('Parcel, Abroad', '14');
    await on('When are you open?');
    await on('Your first book');
    expect(
      screen.getByText(
        /It sells to 2 countries; all others cannot order\. Orders leave from Sedge & Slate, open 5 days/,
      ),
    ).toBeTruthy();
    expect(screen.getByText('14.00')).toBeTruthy();
    // A zone that is called as its place is not said twice.
    expect(screen.getAllByText('Ireland')).toHaveLength(1);
    expect(screen.getByText('France')).toBeTruthy();
    expect(selectBook(store.getState()).store.name).toBe('Wrack & Thistle');
    fireEvent.press(screen.getByText('Use this book'));
    expect(selectBook(store.getState()).store.name).toBe('Sedge & Slate');
    expect(currentAddress().pathname).toBe('/charges');
    const preview = selectPreview(store.getState());
    expect(preview?.ok && preview.quote.choices.map(({ name, charge }) => `${name} ${charge}`)).toEqual([
      'Parcel 750',
      'Collect at Sedge & Slate 0',
    ]);
    act(() => void store.dispatch(undone()));
    expect(selectBook(store.getState()).store.name).toBe('Wrack & Thistle');
  });

  test('can be skipped; the preview of an empty shop says what belongs there', () => {
    goTo('/begin');
    const store = demoStore();
    const view = renderOver(store, <BeginScreen />);
    fireEvent.press(screen.getByText('Skip the questions: an empty book'));
    const { book, catalogue, testOrders } = store.getState().draft.workbook;
    expect([book.zones, catalogue.goods, testOrders]).toEqual([[], [], []]);
    view.unmount();
    renderOver(store, <Preview />);
    expect(screen.getByText('No test order yet')).toBeTruthy();
    fireEvent.press(screen.getByText('Add a product first'));
    expect(currentAddress().pathname).toBe('/goods');
  });
});
