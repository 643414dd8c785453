import { act, fireEvent, screen } from '@testing-library/react-native';
import type { Problem } from '../../../core/model/problem.ts';
import { demoEdition, demoOpenOrders, demoPastOrders } from '../../state/demo-orders.ts';
import { demoShop } from '../../state/demo-shop.ts';
import { edit } from '../../state/draft.ts';
import { demoEditionCame, editionPublished } from '../../state/editions.ts';
import { demoOrdersCame } from '../../state/orders.ts';
import { selectBook } from '../../state/selectors.ts';
import { selectEditions, selectLive, selectServedBook, selectServesLive } from '../../state/served.ts';
import { shopServed } from '../../state/session.ts';
import { editionKey, loadEditions, writeEdition } from '../../state/storage/load-editions.ts';
import type { AppStore, RootState } from '../../state/store.ts';
import { goTo } from '../../testing/router.ts';
import { makeMemoryStore } from '../../testing/memory-store.ts';
import { demoStore, renderOver } from '../../testing/store.tsx';
import { makeAuditor as mockAuditor, type Comparison } from '../../workers/auditor.ts';
import { keepChecked } from '../../workers/keep-checked.ts';
import { makeChecker } from '../../workers/checker.ts';
import type { ShopParts } from '../../workers/shop-parts.ts';
import CheckScreen from './check-screen.tsx';

jest.mock('../../parts/use-width.ts', () => ({ useWidth: () => 'wide' }));

/** A few of the problems an audit may find, by what the shop is; what an audit finds is tried in the core. */
const mockProblems = ({ book }: Pick<ShopParts, 'book'>): Problem[] => {
  const hasExpress = book?.rates?.some(
    ({ serviceId, zoneId }) => serviceId === 'express' && zoneId === 'central',
  );
  return [
    {
      code: 'no-choice',
      gravity: 'stops',
      text: 'Above 450 kg, nothing can be bought in Newfoundland and Labrador: Pallet to Newfoundland and Labrador ends there.',
      where: [{ kind: 'zone', id: 'newfoundland' }],
      reach: 'CA-NL, above 450 kg',
      example: {
        destination: { country: 'CA', subdivision: 'CA-NL' },
        lines: [{ sku: 'seed-poppy', quantity: 99_999 }],
        placedAt: '2026-11-24T12:00:00-04:00',
      },
    },
    {
      code: 'price-falls',
      gravity: 'odd',
      text: 'Parcel to West costs 2.50 less from 10 kg, although the order is larger.',
      where: [{ kind: 'rate', id: 'parcel-west:10000' }],
    },
    ...(hasExpress
      ? []
      : [
          {
            code: 'service-without-rate',
            gravity: 'odd' as const,
            text: 'Express has no rate in Central.',
            where: [{ kind: 'service', id: 'express' }],
          },
        ]),
  ];
};

/** What comparing the demo's draft with its edition gives, worked out once. */
let mockCompared: Promise<Comparison> | null = null;
const mockCompare = (shop: ShopParts, live: ShopParts): Promise<Comparison> =>
  (mockCompared ??= mockAuditor().compare(shop, live, () => undefined));

/** In place of the worker. */
jest.mock('../../workers/start-audit.ts', () => ({
  auditDraft: ({ draft: { workbook } }: RootState) => ({
    problems: Promise.resolve(mockProblems(workbook)),
    stop: () => undefined,
  }),
  repairsOf: () => Promise.resolve([]),
  auditOnce: (shop: ShopParts) => ({ problems: Promise.resolve(mockProblems(shop)), stop: () => undefined }),
  startComparison: (shop: ShopParts, live: ShopParts) => ({
    compared: Promise.resolve().then(() => mockCompare(shop, live)),
    stop: () => undefined,
  }),
}));

const NOW = '2026-11-24T12:00:00Z';
let stop: (() => void) | null = null;
afterEach(() => stop?.());

const settle = (): Promise<void> => act(() => jest.advanceTimersByTimeAsync(2_000));
const open = async (part: string): Promise<AppStore> => {
  goTo({ pathname: '/check', params: { part } });
  const store = demoStore();
  store.dispatch(
    demoOrdersCame([...(await demoPastOrders(NOW)).slice(-200), ...demoOpenOrders(NOW, demoShop())]),
  );
  store.dispatch(demoEditionCame(demoEdition(NOW, demoShop())));
  stop = keepChecked(store, makeChecker());
  renderOver(store, <CheckScreen />);
  await settle();
  return store;
};
const type = (label: string, text: string): void => fireEvent.changeText(screen.getByLabelText(label), text);

describe('publishing', () => {
  test('says what the draft changes, for which test orders, and by how much for past orders', async () => {
    await open('publish');
    expect(screen.getByText('Parcel to Maritimes: from 10 kg: 21.00 becomes 24.00.')).toBeTruthy();
    expect(screen.getByText(/^“Heavy pots” is new: Always: shipping costs 6.00 more/)).toBeTruthy();
    expect(screen.getByText(/^A garden firm in Ottawa: Parcel 23.58 becomes 28.98;/)).toBeTruthy();
    expect(screen.getByText('the same')).toBeTruthy();
    expect(screen.getByText(/^Of 213 past orders the charges come to/)).toBeTruthy();
  });

  test('is refused without a note, and while a problem stops without a reason', async () => {
    const store = await open('publish');
    const button = (): void => fireEvent.press(screen.getByText('Publish the draft'));
    button();
    const lacks = 'a note for this edition and a reason for publishing anyway';
    expect(screen.getByText(`To publish, write ${lacks}.`)).toBeTruthy();
    type('A note for this edition', 'Heavier pots');
    button();
    expect(screen.getByText('To publish, write a reason for publishing anyway.')).toBeTruthy();
    expect(selectEditions(store.getState())).toHaveLength(1);
    expect(screen.getByText(/^1 problem keeps customers from buying\.$/)).toBeTruthy();
    type('Reason for publishing anyway', 'They are asked for by telephone');
    button();
    expect(selectLive(store.getState())).toMatchObject({
      number: 2,
      note: 'Heavier pots',
      despite: 'They are asked for by telephone',
      book: selectBook(store.getState()),
    });
    expect(screen.getByText('The draft is the live edition; there is nothing to publish.')).toBeTruthy();
  });

  test('leaves a history in which any two are compared, and that can be gone back to', async () => {
    const store = await open('publish');
    type('A note for this edition', 'Heavier pots');
    type('Reason for publishing anyway', 'Meant');
    fireEvent.press(screen.getByText('Publish the draft'));
    act(() => void store.dispatch(edit('setStore', { changes: { name: 'Wrack & Thistle' } }, 'name')));
    fireEvent.press(screen.getByText('Edition 2, live'));
    expect(screen.getByText('From edition 1 to edition 2: ')).toBeTruthy();
    expect(screen.getAllByText('Parcel to Maritimes: from 10 kg: 21.00 becomes 24.00.')).toHaveLength(1);
    fireEvent.press(screen.getByText('Edition 1'));
    fireEvent.press(screen.getByText('Make it the draft again'));
    expect(selectBook(store.getState()).adjustments.map(({ id }) => id)).not.toContain('heavy-pots');
    expect(selectLive(store.getState())?.number).toBe(2);
    await settle();
  });
});

describe('the problems', () => {
  test('are marked where the live edition has none such', async () => {
    const store = await open('problems');
    expect(screen.queryByText(/^New since/)).toBeNull();
    const cell = { serviceId: 'express', zoneId: 'central' };
    act(() => void store.dispatch(edit('removeRate', { cell }, 'gone')));
    await settle();
    expect(screen.getAllByText('New since edition 1').length).toBeGreaterThan(0);
  });

  test('are listed by gravity, accepted with a note, and come back when their rules change', async () => {
    const store = await open('problems');
    fireEvent.press(
      screen.getByText(
        'Above 450 kg, nothing can be bought in Newfoundland and Labrador: Pallet to Newfoundland and Labrador ends there.',
      ),
    );
    fireEvent.press(screen.getByText('This is intended: accept it'));
    type('Why it is intended', 'By telephone');
    fireEvent.press(screen.getByText('Accept it'));
    expect(screen.getByText('Accepted: By telephone')).toBeTruthy();
    expect(store.getState().draft.workbook.accepted).toHaveLength(1);
    act(
      () =>
        void store.dispatch(
          edit('setRate', { id: 'pallet-newfoundland', changes: { freeFrom: 90_000 } }, 'rate'),
        ),
    );
    await settle();
    expect(screen.queryByText('Accepted: By telephone')).toBeNull();
    expect(
      screen.getByText(
        'Above 450 kg, nothing can be bought in Newfoundland and Labrador: Pallet to Newfoundland and Labrador ends there.',
      ),
    ).toBeTruthy();
  });

  test('show an order in the preview, and lead to their rules', async () => {
    const store = await open('problems');
    fireEvent.press(
      screen.getByText('Parcel to West costs 2.50 less from 10 kg, although the order is larger.'),
    );
    expect(screen.getByText('To Parcel to West')).toBeTruthy();
    fireEvent.press(
      screen.getByText(
        'Above 450 kg, nothing can be bought in Newfoundland and Labrador: Pallet to Newfoundland and Labrador ends there.',
      ),
    );
    fireEvent.press(screen.getByText('Show an order'));
    const testOrders = store.getState().draft.workbook.testOrders;
    expect(testOrders.at(-1)?.name).toBe(
      'Shows: Above 450 kg, nothing can be bought in Newfoundland and Labrador: Pallet to Newfoundland and Labrador ends there.',
    );
    expect(store.getState().session.testOrderId).toBe(testOrders.at(-1)?.id);
  });
});

test('the shopfront serves the live edition, or the draft when it is told to', () => {
  const store = demoStore();
  expect(selectServesLive(store.getState())).toBe(false);
  store.dispatch(demoEditionCame(demoEdition(NOW, demoShop())));
  expect(selectServedBook(store.getState()).adjustments).toHaveLength(4);
  store.dispatch(shopServed('draft'));
  expect(selectServedBook(store.getState())).toBe(selectBook(store.getState()));
  store.dispatch(edit('setStore', { changes: { name: 'A shop of my own' } }, 'name'));
  expect(selectEditions(store.getState())).toEqual([]);
});

test('an edition is kept as it was, and one that cannot be read is set aside', async () => {
  const device = makeMemoryStore();
  const edition = demoEdition(NOW, demoShop());
  await device.setItem(editionKey(edition), writeEdition(edition));
  await device.setItem(editionKey({ number: 2 }), '[{}]');
  const store = demoStore();
  const aside: string[] = [];
  const reading = loadEditions(device, {
    editions: ([found]) => void (found && store.dispatch(editionPublished(found))),
    aside: ({ key }) => void aside.push(key),
  });
  await jest.advanceTimersByTimeAsync(50);
  await reading;
  expect(store.getState().editions).toEqual([edition]);
  expect(aside).toHaveLength(1);
});
