import { act, fireEvent, screen } from '@testing-library/react-native';
import type { Adjustment } from '../../../../core/model/adjustment.ts';
import { undone } from '../../../state/draft.ts';
import { selectBook, selectPreview } from '../../../state/selectors.ts';
import type { AppStore } from '../../../state/store.ts';
import { goTo } from '../../../testing/router.ts';
import { demoStore, renderOver } from '../../../testing/store.tsx';
import { keepChecked } from '../../../workers/keep-checked.ts';
import { makeChecker } from '../../../workers/checker.ts';
import { ruleLink } from '../../../preview/rule-link.ts';
import AdjustmentsPart from './adjustments-part.tsx';

jest.mock('../../../parts/use-width.ts', () => ({ useWidth: () => 'wide' }));
jest.mock('../../../parts/sortable-list.tsx', () =>
  jest.requireActual<object>('../../../testing/plain-list.tsx'),
);

const open = (adjustment?: string): AppStore => {
  goTo({ pathname: '/charges', params: { part: 'adjustments', ...(adjustment ? { adjustment } : {}) } });
  const store = demoStore();
  renderOver(store, <AdjustmentsPart />);
  return store;
};
const rule = (store: AppStore, id: string): Adjustment | undefined =>
  selectBook(store.getState()).adjustments.find((one) => one.id === id);
const charges = (store: AppStore): number[] => {
  const preview = selectPreview(store.getState());
  return preview?.ok ? preview.quote.choices.map(({ charge }) => charge) : [];
};
const type = (label: string, text: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};

describe('the adjustments', () => {
  test('stand as sentences in their order, with how many test orders each touches', async () => {
    const store = open();
    const stop = keepChecked(store, makeChecker());
    await act(() => jest.advanceTimersByTimeAsync(200));
    stop();
    expect(screen.getByText(/^When the customer is trade and the order value is 60.00 or more/)).toBeTruthy();
    expect(store.getState().check.check?.touches).toEqual({
      winter: { testOrders: 1, orders: 0 },
      'heavy-pots': { testOrders: 3, orders: 0 },
      trade: { testOrders: 2, orders: 0 },
      'trade-free': { testOrders: 1, orders: 0 },
      'prepaid-us': { testOrders: 0, orders: 0 },
    });
    expect(screen.getByText('Affects 2 of 20 test orders')).toBeTruthy();
  });

  test('are made switched off, given an effect, and then change the preview', () => {
    const store = open();
    const before = charges(store);
    fireEvent.press(screen.getByText('Add an adjustment'));
    expect(rule(store, 'new-adjustment')).toMatchObject({ active: false });
    expect(screen.getByText('off')).toBeTruthy();
    type('Amount', '2.50');
    expect(charges(store)).toEqual(before);
    fireEvent.press(screen.getByLabelText('Active'));
    expect(charges(store)).toEqual(before.map((charge) => charge + 250));
    expect(
      screen.getByText(
        'In the preview: Parcel +2.50, Express, two days +2.50, Express, overnight +2.50, Pallet +2.50',
      ),
    ).toBeTruthy();
    fireEvent.press(screen.getByText('less'));
    expect(charges(store)).toEqual(before.map((charge) => charge - 250));
    act(() => void store.dispatch(undone()));
    expect(charges(store)).toEqual(before.map((charge) => charge + 250));
  });

  test('take every kind of condition, and say when one can never hold', () => {
    const store = open('heavy-pots');
    const add = (name: string): void => {
      const field = screen.getByLabelText('Add a condition');
      fireEvent(field, 'focus');
      fireEvent.changeText(field, name);
      fireEvent.press(screen.getByRole('button', { name }));
    };
    add('What the basket measures');
    fireEvent.press(screen.getByText('Weight'));
    type('From', '5 kg');
    type('Below', '5 kg');
    expect(screen.getByText('Its minimum is not below its maximum, so it never applies.')).toBeTruthy();
    type('Below', '');
    expect(rule(store, 'heavy-pots')?.when).toEqual([{ test: 'measure', of: 'weight', min: 5_000 }]);
    add('Days of the week');
    fireEvent.press(screen.getByLabelText('Sat'));
    add('A code typed at checkout');
    type('Codes typed at checkout, separated by commas', 'MOSS, FERN, MOSS');
    add('Dates');
    type('First day', '2026-12-01');
    fireEvent.press(screen.getByLabelText('Every year: only month and day count'));
    expect(rule(store, 'heavy-pots')?.when.slice(1)).toEqual([
      { test: 'weekday', days: [6] },
      { test: 'code', in: ['MOSS', 'FERN'] },
      { test: 'dates', from: '2026-12-01', everyYear: true },
    ]);
    fireEvent.press(screen.getByLabelText('Remove the condition: Dates'));
    expect(rule(store, 'heavy-pots')?.when).toHaveLength(3);
  });

  test('are for some services and zones, for some goods, and may be the last', () => {
    const store = open('heavy-pots');
    fireEvent.press(screen.getAllByText('some')[0] as never);
    expect(screen.getByText('Its list of services is empty, so it never applies.')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Express'));
    expect(rule(store, 'heavy-pots')?.to.serviceIds).toEqual(['express']);
    fireEvent.press(screen.getByLabelText('Remove Glazed pot, 34 cm'));
    expect(rule(store, 'heavy-pots')?.effect).toMatchObject({ goods: { skus: ['pot-urn'] } });
    fireEvent.press(screen.getByLabelText('Skip later adjustments'));
    expect(rule(store, 'heavy-pots')?.last).toBe(true);
    fireEvent.press(screen.getByText('Copy'));
    expect(rule(store, 'heavy-pots-copy')).toMatchObject({ active: false, last: true });
    fireEvent.press(screen.getByText('Move up'));
    expect(selectBook(store.getState()).adjustments[0]?.id).toBe('heavy-pots');
    fireEvent.press(screen.getByText('Remove the adjustment'));
    expect(rule(store, 'heavy-pots')).toBeUndefined();
  });

  test('lead back from the preview', () => {
    const store = demoStore();
    expect(ruleLink(selectBook(store.getState()), { kind: 'adjustment', id: 'trade' })).toEqual({
      pathname: '/charges',
      params: { part: 'adjustments', adjustment: 'trade' },
    });
  });
});
