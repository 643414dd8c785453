import { demoBook } from '../../../demo/book.ts';
import { demoCatalogue } from '../../../demo/goods.ts';
import pastFile from '../../../demo/data/past-orders.json';
import { pastOrdersOf, type OrdersFile } from '../../../demo/past-orders.ts';
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
  const measured = coster.prepare({}, ({ done, of }) => told.push(done <= of ? of : -1));
  coster.stop();
  expect(await measured).toBeNull();
  expect(told).not.toContain(-1);
  expect(await coster.prepare({}, quiet)).toEqual({ orders: 120, unusable: 0 });
});

test('measures the orders that are counted, and those of a wider filter when it is asked', async () => {
  const coster = makeCoster();
  await coster.open(SHOP, quiet);
  const from = orders[60]?.request.placedAt ?? '';
  const { total } = coster.board({ from });
  expect(await coster.prepare({ from }, quiet)).toEqual({ orders: total.orders, unusable: 0 });
  const lever = { kind: 'free-from', rateId: 'parcel-maritimes' } as const;
  expect(coster.whatIf({ from }, lever, 8_500).was.orders).toBeLessThanOrEqual(total.orders);
  expect(() => coster.whatIf({}, lever, 8_500)).toThrow('not measured yet');
  expect(await coster.prepare({}, quiet)).toEqual({ orders: 120, unusable: 0 });
  expect(coster.whatIf({}, lever, 8_500).was.orders).toBeGreaterThan(60);
});

test('draws a lever’s line until another is asked for', async () => {
  const coster = makeCoster();
  await coster.open(SHOP, quiet);
  await coster.prepare({}, quiet);
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
  await coster.prepare({}, quiet);
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

test('has the orders behind a step and behind what an account asks', async () => {
  const coster = makeCoster();
  await coster.open({ ...SHOP, orders: orders.slice(0, 60) }, quiet);
  await coster.prepare({}, quiet);
  const { steps } = coster.steps({}, 'parcel-maritimes');
  for (const { at, orders: count } of steps)
    expect(coster.ordersInStep({}, 'parcel-maritimes', at)).toHaveLength(count);
  expect(coster.ordersInStep({}, 'none-such', 0)).toEqual([]);
  expect(coster.ordersPriced({}, 'fulmar')).toEqual([]);
  const compared = await coster.accounts({}, [2_000], quiet);
  const priced = coster.ordersPriced({}, 'fulmar');
  expect(priced).toHaveLength(compared?.shares.get('fulmar')?.orders ?? -1);
  const above = priced.map(({ price, least }) => price - least);
  expect(above).toEqual([...above].sort((a, b) => b - a));
  expect(above.filter((one) => one === 0)).toHaveLength(compared?.shares.get('fulmar')?.cheapest ?? -1);
});

test('another account or packing is tried, with the orders it would change', async () => {
  const coster = makeCoster();
  await coster.open(SHOP, quiet);
  await coster.prepare({}, quiet);
  const plan = { kind: 'single' } as const;
  const told: number[] = [];
  const found = await coster.switched({}, { kind: 'packing', accountId: 'fulmar', plan }, ({ of }) =>
    told.push(of),
  );
  const { more, less, lost, gained } = found!.result;
  expect(found!.moved).toHaveLength(more.orders + less.orders + lost + gained);
  expect(found!.moved.length).toBeGreaterThan(0);
  const ended = coster.switched({}, { kind: 'packing', accountId: 'fulmar', plan }, quiet);
  coster.stop();
  expect([null, found]).toContainEqual(await ended);
});

describe('packing', () => {
  test('is compared way by way, and each box has its orders', async () => {
    const coster = makeCoster();
    await coster.open({ ...SHOP, orders: orders.slice(0, 60) }, quiet);
    const compared = await coster.packing({}, 'fulmar', quiet);
    const [own, freight] = compared?.plans ?? [];
    expect(own?.by).toEqual(['fulmar', 'store', 'gannet']);
    expect(own?.sums).toEqual(own?.own);
    expect(freight?.sums.orders).toBe(freight?.own.orders);
    expect(freight?.sums.orders).toBeLessThan(own?.sums.orders ?? 0);
    for (const { box, orders: count } of compared?.uses ?? [])
      expect(coster.ordersInBox({}, 'fulmar', box.id)).toHaveLength(count);
    expect(await coster.packing({}, 'nobody', quiet)).toEqual({ plans: [], uses: [] });
    expect(coster.ordersInBox({}, 'nobody', 'small')).toEqual([]);
  });

  test('has one more box that truly saves, none where none fits, and stops when it is told', async () => {
    const coster = makeCoster();
    await coster.open({ ...SHOP, orders: orders.slice(0, 60) }, quiet);
    const limits = { most: { length: 560, width: 520, height: 540 }, maxWeight: 20_000 };
    let tried = 0;
    const found = await coster.bestBox({}, 'fulmar', limits, (count) => {
      tried = count;
    });
    if (found === null || found === 'none') throw new Error('a box was to be found');
    expect(found.now.carrier + found.now.boxes).toBeLessThan(found.was.carrier + found.was.boxes);
    expect([found.now.orders, found.orders > 0]).toEqual([found.was.orders, true]);
    expect(tried).toBeGreaterThan(100);
    const small = { most: { length: 5, width: 5, height: 5 }, maxWeight: 10 };
    expect(await coster.bestBox({}, 'fulmar', small, quiet)).toBe('none');
    expect(await coster.bestBox({}, 'nobody', limits, quiet)).toBe('none');
    const stopped = coster.bestBox({}, 'fulmar', limits, () => coster.stop());
    expect(await stopped).toBeNull();
  });
});
