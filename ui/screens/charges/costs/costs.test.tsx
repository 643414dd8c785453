import { fireEvent, screen } from '@testing-library/react-native';
import pastFile from '../../../../demo/data/past-orders.json';
import { movedUpTo, pastOrdersOf, type OrdersFile } from '../../../../demo/past-orders.ts';
import { ordersTaken } from '../../../state/orders.ts';
import { selectBook } from '../../../state/selectors.ts';
import type { AppStore } from '../../../state/store.ts';
import { currentAddress, goTo } from '../../../testing/router.ts';
import { demoStore, renderOver } from '../../../testing/store.tsx';
import type * as CosterModule from '../../../workers/costs/coster.ts';
import type { OnCostProgress } from '../../../workers/costs/cost-progress.ts';
import type * as ChangedParts from '../../../workers/changed-parts.ts';
import CostsPart from './costs-part.tsx';
import { chargedWithCost } from '../../../../core/costs/what-if.ts';
import { NO_MARGIN } from '../../../../core/costs/margin-board.ts';
import { inOrder, type LineOrder } from './board-lines.ts';
import { leverEdit } from './lever-edit.ts';
import { marginWords } from './margin-words.ts';
import { switchEdit, switchesOf } from './switches.ts';
import { lineFrame, linePath } from './line-frame.ts';

jest.mock('../../../workers/start-costs.ts', () => {
  const { makeCoster } = jest.requireActual<typeof CosterModule>('../../../workers/costs/coster.ts');
  const { changedParts, NOTHING_HELD } = jest.requireActual<typeof ChangedParts>(
    '../../../workers/changed-parts.ts',
  );
  /** What a worker answers, it answers later. */
  const beside = (coster: ReturnType<typeof makeCoster>): object =>
    Object.fromEntries(
      Object.entries(coster).map(([name, answer]) => [
        name,
        async (...asked: unknown[]) => (answer as (...all: unknown[]) => unknown)(...asked),
      ]),
    );
  return {
    openCosts: (state: Parameters<typeof changedParts>[0], onProgress: OnCostProgress) => {
      const coster = makeCoster();
      const ready = coster.open(changedParts(state, NOTHING_HELD), onProgress);
      return { coster: beside(coster), ready, leave: () => undefined };
    },
    stopCosts: () => undefined,
  };
});

const orders = pastOrdersOf(movedUpTo(pastFile as unknown as OrdersFile, new Date().toISOString())).slice(
  -80,
);

const open = (params: Record<string, string> = {}, some = orders): AppStore => {
  goTo({ pathname: '/charges', params: { part: 'costs', ...params } });
  const store = demoStore();
  store.dispatch(ordersTaken(some));
  renderOver(store, <CostsPart room="page" />);
  return store;
};
const type = (label: string, text: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};

test('the board by margin leads to the orders behind a figure', async () => {
  open();
  expect(await screen.findByText(/^80 orders from /)).toBeTruthy();
  fireEvent.press(
    screen.getByLabelText(/^Parcel to Maritimes: \d+ orders?, charged [\d.,]+, cost [\d.,]+, margin /),
  );
  expect(await screen.findByLabelText('Orders, the greatest losses first')).toBeTruthy();
  const [first] = screen.getAllByLabelText(/^(W?\d+), Parcel, /);
  fireEvent.press(first!);
  expect(screen.getByText(/^Order W?\d+, \d+ \w+ \d{4}.*; charged [\d.,]+; cost [\d.,]+\.$/)).toBeTruthy();
});

test('rows stand in the board’s order, or by what they came to', () => {
  const sums = (margin: number, orders: number) => ({ margin: { ...NO_MARGIN, margin, orders } });
  const lines = [sums(5, 1), sums(-9, 2), sums(5, 7)];
  const places = (by: LineOrder): number[] =>
    inOrder(lines, by, ({ margin }) => margin).map((line) => lines.indexOf(line));
  expect(places('board')).toEqual([0, 1, 2]);
  expect(places('loss')).toEqual([1, 0, 2]);
  expect(places('margin')).toEqual([0, 2, 1]);
  expect(places('orders')).toEqual([2, 1, 0]);
});

test('what is charged less what it cost is the margin, and what is left out is said', () => {
  const sums = {
    ...{ orders: 3, recorded: 1, estimated: 1, unknown: 1, charged: 5_000 },
    ...{ chargedWithCost: 3_766, cost: 4_000, margin: -234 },
  };
  expect(marginWords('Parcel to West', sums, 2)).toBe(
    'Parcel to West: 3 orders, charged 37.66, cost 40.00, margin -2.34, 1 estimated, 1 left out, cost not known (12.34 charged)',
  );
  expect(chargedWithCost({ orders: 3, charged: 5_000, withCost: 2, cost: 4_000, margin: -234 })).toBe(3_766);
});

test('counts what the filters leave, and says where nothing is left', async () => {
  open();
  await screen.findByText(/^80 orders from /);
  type('Weight from', '900 kg');
  expect(await screen.findByText(/^No past orders are counted here\./)).toBeTruthy();
});

test('a shop without past orders is told so', async () => {
  open({}, []);
  expect(await screen.findByText(/^No past orders are counted here\./)).toBeTruthy();
});

test('a changed threshold says what it would do, and goes into the draft', async () => {
  const store = open({ view: 'what-if' });
  await screen.findByText(/^Best while at most 5 % of orders pay more/, {}, { timeout: 20_000 });
  expect(screen.getByText('No order pays more. No order pays less.')).toBeTruthy();
  expect(screen.queryByText('Put into the draft')).toBeNull();
  type('Free delivery from', '0.50');
  expect(await screen.findByText(/^No order pays more\. \d+ of \d+ orders pays? less, by /)).toBeTruthy();
  fireEvent.press(screen.getByLabelText(/^Orders, Parcel to Maritimes: /));
  expect(await screen.findByLabelText('Orders that would change')).toBeTruthy();
  fireEvent.press(screen.getAllByLabelText(/^W?\d+, Parcel, .*: [\d.,]+ becomes 0\.00$/)[0]!);
  expect(screen.getByText(/^Order W?\d+, .*; charged [\d.,]+; /)).toBeTruthy();
  fireEvent.press(screen.getByText('Put into the draft'));
  const rate = selectBook(store.getState()).rates.find(({ id }) => id === 'parcel-maritimes');
  expect(rate?.freeFrom).toBe(50);
  expect(store.getState().session.message).toMatchObject({ undo: true });
});

test('a threshold that the draft has not is none, not nothing', async () => {
  open({ view: 'what-if', rate: 'parcel-west' });
  const field = await screen.findByLabelText('Free delivery from', {}, { timeout: 20_000 });
  expect(screen.getByLabelText('Where').props.value).toBe('Parcel to West');
  expect([field.props.value, field.props.placeholder]).toEqual(['', 'none']);
});

test('steps stand beside costs, and steps that follow the costs go into the draft', async () => {
  const store = open({ view: 'steps' });
  fireEvent.press(await screen.findByText('Find the fewest steps', {}, { timeout: 20_000 }));
  fireEvent.press(await screen.findByText('Put into the draft: Parcel to Maritimes'));
  const price = selectBook(store.getState()).rates.find(({ id }) => id === 'parcel-maritimes')?.price;
  expect(price).toMatchObject({ kind: 'steps', basis: 'weight' });
  const amounts = price?.kind === 'steps' ? price.steps.map(({ amount }) => amount) : [];
  expect(amounts).toEqual([...amounts].sort((a, b) => a - b));
  expect(amounts.every((amount) => amount % 50 === 0)).toBe(true);
});

test('the carriers are compared when they are asked', async () => {
  open({ view: 'carriers' });
  fireEvent.press(await screen.findByText('Ask the carriers about past orders'));
  expect((await screen.findAllByText(/ on average$/, {}, { timeout: 20_000 })).length).toBeGreaterThan(1);
  expect(screen.getByLabelText('Prices by zone and weight')).toBeTruthy();
});

test('past orders are packed again, and one more box goes into the draft with its account', async () => {
  const store = open({ view: 'packing' }, orders.slice(0, 40));
  fireEvent.press(await screen.findByText('Pack past orders again'));
  expect(await screen.findByLabelText('Ways of packing', {}, { timeout: 20_000 })).toBeTruthy();
  const [used] = screen.getAllByLabelText(/: .* inside; \d+ parcels? of \d+ orders?, \d+ % full$/);
  fireEvent.press(used!);
  expect(await screen.findByLabelText('Orders, the greatest losses first')).toBeTruthy();
  type('Inside at most', '60 x 0 x 40 cm');
  expect(screen.getByRole('alert')).toHaveTextContent(/^Each side must be more than 0\. Kept: /);
  type('Inside at most', '56 x 52 x 54 cm');
  fireEvent.press(screen.getByText('Find the box that saves most'));
  fireEvent.press(await screen.findByText(/^Put into the draft: /, {}, { timeout: 40_000 }));
  const { boxes, carriers } = selectBook(store.getState());
  const added = boxes.at(-1);
  expect(added?.name).toMatch(/^Carton [\d.]+ × [\d.]+ × [\d.]+ cm$/);
  expect(carriers[0]?.packing).toMatchObject({ boxIds: expect.arrayContaining([added?.id]) as string[] });
  expect(store.getState().session.message).toMatchObject({ undo: true });
});

test('another account for a rate is tried, and put into the draft with the services of its carrier', async () => {
  const store = open({ view: 'what-if' }, orders.slice(0, 40));
  fireEvent.press(await screen.findByText('Carrier, packing', {}, { timeout: 20_000 }));
  expect(screen.getByLabelText('What instead').props.value).toMatch(/, by the cheapest of /);
  fireEvent.press(await screen.findByText('See what it would do', {}, { timeout: 20_000 }));
  fireEvent.press(await screen.findByText('Put into the draft', {}, { timeout: 20_000 }));
  const changed = selectBook(store.getState()).rates.find(
    ({ price }) => price.kind === 'carrier' && price.show === 'cheapest',
  );
  expect(changed).toBeTruthy();
  expect(store.getState().session.message).toMatchObject({ undo: true });
});

test('a switch of the book is one edit; one whose rate is gone is none', () => {
  const book = selectBook(demoStore().getState());
  const all = switchesOf(book);
  expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
  const packs = all.find(({ switched }) => switched.kind === 'packing');
  expect(packs && switchEdit(book, packs)?.payload).toMatchObject({ name: 'setAccount' });
  const account = all.find(({ switched }) => switched.kind === 'account')!;
  expect(switchEdit(book, account)?.payload).toMatchObject({ name: 'setRate' });
  expect(switchEdit({ ...book, rates: [] }, account)).toBeNull();
});

test('a view has an address', async () => {
  open();
  await screen.findByText(/^80 orders from /);
  fireEvent.press(screen.getByText('Steps and costs'));
  expect(currentAddress().params).toMatchObject({ part: 'costs', view: 'steps' });
  await screen.findByText('Find the fewest steps', {}, { timeout: 20_000 });
});

test('what carriers ask is nothing to put into the draft; a raise of several rates is one edit', () => {
  const book = selectBook(demoStore().getState());
  expect(leverEdit(book, { kind: 'carrier-increase', accountId: null }, 600, 'more')).toBeNull();
  const raise = leverEdit(book, { kind: 'raise-percent', rateIds: ['parcel-west'] }, 600, 'raise');
  expect(raise?.payload).toMatchObject({
    name: 'raiseRates',
    payload: { ids: ['parcel-west'], raise: { by: { kind: 'percent', points: 600 } } },
  });
});

test('a line of gains and losses has nothing (0) in its frame, and is drawn through its points', () => {
  expect(lineFrame([{ at: 1, amount: 5 }], 400, 200)).toBeNull();
  const points = [
    { at: 0, amount: -500 },
    { at: 100, amount: -100 },
  ];
  const frame = lineFrame(points, 400, 200);
  expect(frame?.amounts.some(({ value }) => value === 0)).toBe(true);
  expect(frame && linePath(frame, points)).toMatch(/^M72 174L388 /);
});
