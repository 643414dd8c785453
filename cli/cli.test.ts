import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { quoteSchema } from '../core/model/quote.ts';
import { demoTestOrders } from '../demo/test-orders.ts';
import { run } from './run.ts';

const DATA = join(__dirname, '..', 'demo', 'data');
let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'emporos-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

const write = (name: string, text: string): string => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};

const ask = async (...args: string[]): Promise<{ code: number; out: string; err: string }> => {
  let out = '';
  let err = '';
  const code = await run(
    args,
    (text) => {
      out += text;
    },
    (text) => {
      err += text;
    },
  );
  return { code, out, err };
};

const SHOP = ['--book', join(DATA, 'book.json'), '--catalogue', join(DATA, 'catalogue.json')];
const request = JSON.stringify(demoTestOrders[0]?.request);

describe('another language', () => {
  const said = (language: string): string =>
    spawnSync(process.execPath, ['--import', 'tsx', 'cli/main.ts', 'replay'], {
      cwd: join(__dirname, '..'),
      encoding: 'utf8',
      env: { ...process.env, EMPOROS_LANGUAGE: language },
    }).stderr;

  test('is spoken where the program has it, and English else', () => {
    expect(said('fr')).toMatch(/^replay a besoin de --book/);
    expect(said('xx')).toMatch(/^replay needs --book/);
  });
});

describe('quote', () => {
  test('answers one request with one quote', async () => {
    const { code, out } = await ask('quote', ...SHOP, '--request', write('one.json', request));
    expect(code).toBe(0);
    expect(quoteSchema.parse(JSON.parse(out)).choices[0]).toMatchObject({
      id: 'parcel-maritimes',
      charge: 1_730,
    });
  });

  test('completes an address from its postal code where it is told to, one or a line each', async () => {
    const {
      subdivision: _,
      point: __,
      ...short
    } = demoTestOrders[0]?.request.destination ?? { country: 'CA' };
    const file = write(
      'short.json',
      JSON.stringify({ ...demoTestOrders[0]?.request, destination: { ...short, postalCode: 'B3H 2Y9' } }),
    );
    const offered = async (...more: string[]): Promise<string[]> => {
      const { out } = await ask('quote', ...SHOP, ...more);
      return quoteSchema.parse(JSON.parse(out)).choices.map(({ kind }) => kind);
    };
    expect(await offered('--request', file)).not.toContain('shipping');
    const whole = await offered('--request', file, '--complete');
    expect(whole).toEqual(expect.arrayContaining(['shipping', 'delivery', 'pickup']));
    expect(await offered('--requests', file, '--complete')).toEqual(whole);
    const { code, err } = await ask('audit', ...SHOP, '--complete');
    expect([code, err.split('\n')[0]]).toEqual([2, 'audit takes no --complete.']);
  });

  test('answers a line for a line, in order, an unusable one in its place', async () => {
    const pair = JSON.stringify({ request: demoTestOrders[1]?.request, answers: [] });
    const lines = [
      request,
      '{"destination": null',
      pair,
      '',
      JSON.stringify({
        destination: null,
        lines: [{ sku: 'none', quantity: 1 }],
        placedAt: '2026-11-24T10:15:00Z',
      }),
    ];
    const { code, out } = await ask(
      'quote',
      ...SHOP,
      '--requests',
      write('many.jsonl', `${lines.join('\n')}\n\n`),
    );
    const answers = out
      .trim()
      .split('\n')
      .map(
        (line) =>
          JSON.parse(line) as { error?: { line: number; path: string; text: string }; subtotal?: number },
      );
    expect(code).toBe(1);
    expect(answers.map((answer) => answer.error?.line ?? answer.subtotal)).toEqual([7_100, 2, 2_150, 4, 5]);
    expect(answers[4]?.error).toEqual({
      line: 5,
      path: 'lines[0].sku',
      text: 'The catalogue has no “none”; a line of its own must bring a price and a fulfilment.',
    });
  });

  test('cannot run with a faulty file, named with the path within it', async () => {
    const book = write('book.json', JSON.stringify({ format: 'emporos-book', version: 3 }));
    const { code, out, err } = await ask(
      'quote',
      '--book',
      book,
      '--catalogue',
      join(DATA, 'catalogue.json'),
      '--request',
      write('one.json', request),
    );
    expect([code, out]).toEqual([2, '']);
    expect(err).toContain(`${book}: version: This must be one of: 2.`);
    expect(err).toContain(`${book}: zones: This is missing.`);
  });

  test.each<[string, string[], string]>([
    [
      'a file that is not there',
      ['quote', ...SHOP, '--request', '/nowhere.json'],
      '/nowhere.json: cannot be read (ENOENT).',
    ],
    [
      'lines that are not there',
      ['quote', ...SHOP, '--requests', '/nowhere.jsonl'],
      '/nowhere.jsonl: cannot be read (ENOENT).',
    ],
    ['no request', ['quote', ...SHOP], 'quote needs either --request or --requests.'],
    ['no book', ['quote', '--request', 'x'], 'quote needs --book and --catalogue.'],
    ['an unknown command', ['guess'], 'Unknown command: guess'],
    ['no command', [], 'No command given.'],
    ['an unknown option', ['quote', '--cheap'], "Unknown option '--cheap'"],
  ])('cannot run with %s', async (_name, args, text) => {
    const { code, err } = await ask(...args);
    expect(code).toBe(2);
    expect(err).toContain(text);
  });

  test('says how it is used', async () => {
    expect(await ask('--help')).toMatchObject({
      code: 0,
      out: expect.stringContaining('emporos quote --book FILE'),
    });
  });
});

describe('check', () => {
  const check = (testOrders: unknown) =>
    ask(
      'check',
      ...SHOP,
      '--stand-ins',
      '--test-orders',
      write('test-orders.json', JSON.stringify(testOrders)),
    );

  test('says of each test order that it is kept', async () => {
    const { code, out } = await check(demoTestOrders);
    const checked = JSON.parse(out) as { kept: boolean; why: string[] }[];
    expect([code, checked.length, checked.every(({ kept }) => kept)]).toEqual([
      0,
      demoTestOrders.length,
      true,
    ]);
  });

  test('says of a broken one why, and exits with 1', async () => {
    const [first, second] = demoTestOrders;
    const expects = [
      { kind: 'offered', choiceId: 'parcel-maritimes', charge: 1_700 },
      { kind: 'withheld', id: 'express-maritimes:overnight' },
    ];
    const { code, out } = await check([{ ...first, expects }, second]);
    expect(code).toBe(1);
    expect(JSON.parse(out)).toMatchObject([
      {
        id: 'two-pots',
        kept: false,
        why: [
          'Expected: Parcel to Maritimes costs 17.00. Got: costs 17.30.',
          expect.stringMatching(
            /^Expected: Express, overnight to Maritimes is withheld. Got: offered for [\d.]+\.$/,
          ),
        ],
      },
      { id: 'seeds-toronto', kept: true, why: [] },
    ]);
  });

  test('refuses test orders that are none, by file and place', async () => {
    const { code, err } = await check([{ id: 'x' }]);
    expect(code).toBe(2);
    expect(err).toContain('[0].name: This is missing.');
  });

  test('refuses options that it would ignore', async () => {
    const { code, err } = await ask('check', ...SHOP, '--test-orders', 'x', '--orders', 'y');
    expect([code, err]).toEqual([2, expect.stringContaining('check takes no --orders.')]);
  });
});

describe('replay', () => {
  const ORDERS = ['--stand-ins', '--orders', join(DATA, 'orders.json')];

  test('sums up what past orders would cost now', async () => {
    const { code, out } = await ask('replay', ...SHOP, ...ORDERS);
    expect(code).toBe(0);
    expect(JSON.parse(out)).toMatchObject({ orders: 600, unusable: 0, gone: 0, stranded: 0 });
  });

  test('against another book says whose charge changes', async () => {
    const book = JSON.parse(readFileSync(join(DATA, 'book.json'), 'utf8')) as {
      rates: { active: boolean }[];
      areas: { active: boolean }[];
      pickups: { active: boolean }[];
    };
    const off = (list: { active: boolean }[]) => list.map((one) => ({ ...one, active: false }));
    const other = write(
      'other.json',
      JSON.stringify({
        ...book,
        rates: off(book.rates),
        areas: off(book.areas),
        pickups: off(book.pickups),
      }),
    );
    const { out } = await ask(
      'replay',
      '--book',
      other,
      '--against',
      join(DATA, 'book.json'),
      ...SHOP.slice(2),
      ...ORDERS,
    );
    expect(JSON.parse(out)).toMatchObject({ orders: 600, stranded: 600, gone: 600 });
  });

  test('exits with 1 where an order cannot be used', async () => {
    const [first] = JSON.parse(readFileSync(join(DATA, 'orders.json'), 'utf8')) as { request: object }[];
    const broken = { ...first, request: { ...first?.request, lines: [{ sku: 'gone', quantity: 1 }] } };
    const { code, out } = await ask(
      'replay',
      ...SHOP,
      '--orders',
      write('orders.json', JSON.stringify([broken])),
    );
    expect([code, JSON.parse(out).unusable]).toEqual([1, 1]);
  });
});

describe('audit', () => {
  test('lists every fault with its rules and an order that shows it, and exits with 1', async () => {
    const { code, out } = await ask('audit', ...SHOP, '--on', '2026-11-24');
    const problems = JSON.parse(out) as {
      code: string;
      gravity: string;
      where: object[];
      example?: object;
    }[];
    expect(code).toBe(1);
    expect(problems.map((one) => one.code)).toEqual(
      expect.arrayContaining(['no-choice', 'price-falls', 'weight-missing', 'size-missing']),
    );
    expect(problems.every(({ where }) => where.length > 0)).toBe(true);
    expect(
      problems
        .filter(({ gravity }) => gravity === 'stops' || gravity === 'leaks')
        .every(({ example }) => example),
    ).toBe(true);
  });

  test('is told a day that is none', async () => {
    expect(await ask('audit', ...SHOP, '--on', 'today')).toMatchObject({
      code: 2,
      err: '--on is a date, such as 2026-03-31.\n',
    });
  });
});
