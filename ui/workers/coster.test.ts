import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import pastFile from '../../demo/data/past-orders.json';
import { pastOrdersOf, type OrdersFile } from '../../demo/past-orders.ts';
import { makeCoster } from './coster.ts';

const orders = pastOrdersOf(pastFile as unknown as OrdersFile).slice(0, 120);
const SHOP = { book: demoBook, catalogue: demoCatalogue, orders };
const quiet = (): void => undefined;

beforeAll(() => jest.useRealTimers());

test('finds the costs of every order, and has the orders behind each figure', async () => {
  const coster = makeCoster();
  expect(await coster.open(SHOP, quiet)).toBe(true);
  const board = coster.board({});
  expect(board.total.orders).toBe(120);
  expect([board.first, board.last]).toEqual([orders[0]?.request.placedAt, orders.at(-1)?.request.placedAt]);
  const [row, margin] = [...board.rows][0] ?? ['', null];
  const listed = coster.ordersOf({}, row, null);
  expect(listed).toHaveLength(margin?.orders ?? 0);
  const margins = listed.map(({ charged, cost }) => (cost === null ? Infinity : charged - cost));
  expect(margins).toEqual([...margins].sort((a, b) => a - b));
  expect(coster.board({ from: '2100-01-01T00:00:00Z' })).toMatchObject({ first: null, total: { orders: 0 } });
});

test('is ended by another shop, or when it is stopped, and says how far it is', async () => {
  const coster = makeCoster();
  const told: number[] = [];
  const first = coster.open({ ...SHOP, orders: [...orders, ...orders, ...orders, ...orders] }, ({ of }) =>
    told.push(of),
  );
  const second = coster.open(SHOP, quiet);
  expect([await first, await second]).toEqual([false, true]);
  const measured = coster.prepare(({ done, of }) => told.push(done <= of ? of : -1));
  coster.stop();
  expect(await measured).toBeNull();
  expect(told).not.toContain(-1);
  expect(await coster.prepare(quiet)).toEqual({ orders: 120, unusable: 0 });
});

test('draws a lever’s line until another is asked for', async () => {
  const coster = makeCoster();
  await coster.open(SHOP, quiet);
  await coster.prepare(quiet);
  const lever = { kind: 'free-from', rateId: 'parcel-maritimes' } as const;
  const drawn: (number | null)[] = [];
  const first = coster.curve({}, lever, () => undefined);
  const second = coster.curve({}, lever, ({ value }) => drawn.push(value));
  expect([await first, await second]).toEqual([false, true]);
  expect(drawn).toContain(8_500);
  expect(coster.whatIf({}, lever, 8_500)).toMatchObject({ more: { orders: 0 }, less: { orders: 0 } });
  expect(coster.near({}, 'parcel-maritimes', 8_500).orders).toBeGreaterThan(0);
});

test('sets steps beside costs, fits steps, and refuses what is too fine to look through', async () => {
  const coster = makeCoster();
  await coster.open(SHOP, quiet);
  await coster.prepare(quiet);
  const { orders: count, steps } = coster.steps({}, 'parcel-maritimes');
  expect(steps.reduce((sum, step) => sum + step.orders, 0)).toBe(count);
  const bound = { covered: 0.8, apart: 500, grain: 500, unit: 50, most: 4 };
  const fitted = coster.fit({}, 'parcel-maritimes', bound);
  expect(fitted?.steps[0]?.from).toBe(0);
  expect(coster.fit({}, 'parcel-maritimes', { ...bound, grain: 0.001, unit: 0.001, most: 20 })).toBeNull();
  expect(coster.fit({}, 'none-such', bound)).toMatchObject({ steps: [] });
});

test('asks every account about every order that was shipped', async () => {
  const coster = makeCoster();
  await coster.open({ ...SHOP, orders: orders.slice(0, 30) }, quiet);
  const compared = await coster.accounts({}, [2_000], quiet);
  expect([...(compared?.shares.keys() ?? [])].sort()).toEqual(['cairn', 'fulmar', 'gannet']);
  expect(await coster.accounts({}, [2_000], quiet)).toEqual(compared);
});
