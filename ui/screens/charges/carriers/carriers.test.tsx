import { act, fireEvent, screen } from '@testing-library/react-native';
import type { CarrierPrice } from '../../../../core/model/price.ts';
import { edit } from '../../../state/draft.ts';
import { selectBook } from '../../../state/selectors.ts';
import { demoStore, renderOver } from '../../../testing/store.tsx';
import type { AppStore } from '../../../state/store.ts';
import { EffectFields } from '../adjustments/effect-fields.tsx';
import CarrierFields from './carrier-fields.tsx';
import DutiesPart from '../duties/duties-part.tsx';
import { costPoints, gridOf, GRID_WEIGHTS } from './order-grid.ts';

const type = (label: string, text: string): void => {
  fireEvent(screen.getByLabelText(label), 'focus');
  fireEvent.changeText(screen.getByLabelText(label), text);
  fireEvent(screen.getByLabelText(label), 'blur');
};
const priceOf = (store: AppStore): CarrierPrice =>
  selectBook(store.getState()).rates.find(({ id }) => id === 'express-maritimes')?.price as CarrierPrice;

describe('a price by carrier', () => {
  const open = (): { store: AppStore; changes: CarrierPrice[] } => {
    const store = demoStore();
    const changes: CarrierPrice[] = [];
    renderOver(store, <CarrierFields price={priceOf(store)} onChange={(price) => changes.push(price)} />);
    return { store, changes };
  };

  test('offers the carrier’s services, ticked and unticked', () => {
    const { changes } = open();
    fireEvent.press(screen.getByLabelText('Fulmar ground'));
    expect(changes.at(-1)?.services.map(({ code }) => code)).toEqual(['two-day', 'overnight', 'ground']);
    fireEvent.press(screen.getByText('Fulmar overnight'));
    expect(changes.at(-1)?.services.map(({ code }) => code)).toEqual(['two-day']);
  });

  test('is withheld or charged an amount where the carrier does not answer', () => {
    const { changes } = open();
    fireEvent.press(screen.getAllByText('Do not offer it')[0]!);
    expect(changes.at(-1)?.onError).toBe('withhold');
    fireEvent.press(screen.getAllByText('Charge an amount')[1]!);
    expect(changes.at(-1)?.onNone).toEqual({ amount: 0, per: 'order' });
  });
});

test('an adjustment says who pays import charges', () => {
  const effects: unknown[] = [];
  renderOver(
    demoStore(),
    <EffectFields effect={{ do: 'terms', terms: 'DAP' }} onChange={(effect) => effects.push(effect)} />,
  );
  fireEvent.press(screen.getByText('DDP, prepaid'));
  expect(effects).toEqual([{ do: 'terms', terms: 'DDP' }]);
});

test('import charges are set, and rates by country added and taken away', () => {
  const store = demoStore();
  renderOver(store, <DutiesPart />);
  const duties = () => selectBook(store.getState()).duties;
  const count = duties().rates.length;
  fireEvent.press(screen.getByText('DDP, prepaid'));
  expect(duties().terms).toBe('DDP');
  type('Clearance fee', '12');
  expect(duties().clearanceFee).toBe(1_200);
  fireEvent.press(screen.getByText('Add a rate'));
  expect(duties().rates).toHaveLength(count + 1);
  type('HS code begins', '69.12');
  type('Duty', '4.5');
  expect(duties().rates.at(-1)).toMatchObject({ hsPrefix: '6912', duty: 450 });
  fireEvent.press(screen.getByText('Remove this rate'));
  expect(duties().rates).toHaveLength(count);
});

describe('edits of accounts and boxes', () => {
  test('keep an account that prices rates, and move what shipped from a location that goes', () => {
    const store = demoStore();
    const { carriers } = selectBook(store.getState());
    act(() => void store.dispatch(edit('removeAccount', { id: 'fulmar' }, 'remove')));
    expect(selectBook(store.getState()).carriers).toEqual(carriers);
    act(() => void store.dispatch(edit('removeLocation', { id: 'nursery' }, 'remove')));
    expect(selectBook(store.getState()).carriers.map(({ locationId }) => locationId)).toEqual(
      carriers.map(() => 'market-stall'),
    );
    act(() => void store.dispatch(edit('removeLocation', { id: 'market-stall' }, 'remove')));
    expect(selectBook(store.getState()).locations).toHaveLength(1);
  });

  test('take a box that goes out of every plan', () => {
    const store = demoStore();
    act(() => void store.dispatch(edit('removeBox', { id: 'twin' }, 'remove')));
    const { store: shop, carriers } = selectBook(store.getState());
    for (const { packing } of [shop, ...carriers])
      expect(packing.kind === 'boxes' ? packing.boxIds : []).not.toContain('twin');
  });
});

test('a grid of costs counts past orders, and each cell once where there are none', () => {
  const place = { destination: { country: 'CA', postalCode: 'B3H 2Y9' }, zone: null, zoneId: null };
  const cells = gridOf([place]);
  const answers = cells.map(({ weight }) => ({
    key: 'fulmar',
    ok: true as const,
    services: weight > 10_000 ? [] : [{ code: 'ground', name: 'Ground', amount: weight }],
  }));
  const counted = costPoints(cells, answers, 'ground', new Map([['CA B3H 2Y9 1000', 7]]));
  expect(counted.assumed).toBe(false);
  expect(counted.points.filter(({ orders }) => orders > 0)).toEqual([
    { weight: 1_000, cost: 1_000, orders: 7 },
  ]);
  const assumed = costPoints(cells, answers, 'ground', new Map());
  expect(assumed.assumed).toBe(true);
  expect(assumed.points).toHaveLength(GRID_WEIGHTS.filter((weight) => weight <= 10_000).length);
});
