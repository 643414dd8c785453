import { makeBook, makeCatalogue, makeGood, makeRate, makeZone } from '../testing/book.ts';
import type { Book } from '../model/book.ts';
import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { readBook } from '../formats/read.ts';
import { oneChange } from '../testing/one-change.ts';
import { catalogueFaults } from './book-fault.ts';
import { changedFaults } from './changed-faults.ts';

const before = { book: makeBook(), catalogue: makeCatalogue(), testOrders: [] };
const codes = (book: Book): string[] =>
  changedFaults(before, { ...before, book }).map(({ code, path }) => `${path}: ${code}`);

describe('what a change made unsound', () => {
  test.each([
    [
      'a price above the greatest',
      makeBook({ rates: [makeRate({ freeFrom: 2e9 })] }),
      'rates.freeFrom: too-big',
    ],
    [
      'a tax of 1250 %',
      makeBook({ taxes: [{ id: 't', name: 'T', region: { country: 'CA' }, points: 125_000, on: 'both' }] }),
      'taxes.points: too-big',
    ],
    [
      'too many steps',
      makeBook({
        rates: [
          makeRate({
            price: {
              kind: 'steps',
              basis: 'weight',
              per: 'order',
              steps: Array.from({ length: 2_001 }, (_, from) => ({ from, amount: 1 })),
            },
          }),
        ],
      }),
      'rates.price.steps: too-long',
    ],
    [
      'a pattern that is none',
      makeBook({ zones: [makeZone('country', { includes: [{ country: 'CA', postal: ['B3*H'] }] })] }),
      'zones[0].includes[0].postal[0]: bad-pattern',
    ],
    ['a rate of no zone', makeBook({ rates: [makeRate({ zoneId: 'gone' })] }), 'rates[0].zoneId: dangling'],
  ])('%s', (_, book, told) => expect(codes(book)).toContain(told));

  test('is nothing where the change is sound, and what is not new is not read', () => {
    expect(codes(makeBook({ rates: [makeRate({ freeFrom: 5_000 })] }))).toEqual([]);
    const odd = { ...makeRate(), freeFrom: -1 };
    const was = { ...before, book: { ...makeBook(), rates: [odd] } };
    const zones = [makeZone('country', { name: 'Other' })];
    expect(changedFaults(was, { ...was, book: { ...was.book, zones } })).toEqual([]);
  });

  test('a rate is told whose cell another has, whose zone is gone, or whose table is none', () => {
    const two = ['country', 'far'].map((id) => makeZone(id, { includes: [{ country: 'NO' }] }));
    const rates = [makeRate({ id: 'near' }), makeRate({ id: 'far', zoneId: 'far' })];
    const book = makeBook({ zones: [makeZone('country'), makeZone('far', { includes: [] })], rates });
    const was = { ...before, book };
    const told = (changes: Partial<Book>): string[] =>
      changedFaults(was, { ...was, book: { ...book, ...changes } }).map(({ code }) => code);
    const [near, far] = rates;
    expect(told({ rates: [near!, { ...far!, zoneId: 'country' }] })).toEqual(['duplicate-rate']);
    expect(told({ rates: [near!, { ...far!, id: 'near' }] })).toEqual(['duplicate-id']);
    expect(told({ zones: two.slice(0, 1) })).toEqual(['dangling']);
    expect(told({ rates: [near!, { ...far!, price: { kind: 'table', tableId: 'none' } }] })).toEqual([
      'dangling',
    ]);
    expect(told({ rates: [near!, { ...far!, freeFrom: 4_000 }] })).toEqual([]);
  });

  test('a pattern that was there before is not read again, and one in a changed zone is', () => {
    const odd = makeZone('odd', { includes: [{ country: 'CA', postal: ['B3*H'] }] });
    const was = { ...before, book: { ...makeBook(), zones: [odd] } };
    const after = { ...was.book, zones: [odd, makeZone('new', { includes: [{ country: 'NO' }] })] };
    expect(changedFaults(was, { ...was, book: after }).map(({ code }) => code)).not.toContain('bad-pattern');
    const renamed = { ...after, zones: [{ ...odd, name: 'Odder' }] };
    expect(changedFaults(was, { ...was, book: renamed }).map(({ code }) => code)).toContain('bad-pattern');
  });

  test('is found in goods, test orders and rows of long lists', () => {
    const heavy = makeCatalogue(makeGood('pot', { weight: 2e8 }));
    expect(changedFaults(before, { ...before, catalogue: heavy }).map(({ path }) => path)).toEqual([
      'goods.weight',
    ]);
    const testOrder = {
      id: 't',
      name: '',
      request: { destination: null, lines: [], placedAt: 'now' },
      expects: [],
    };
    expect(changedFaults(before, { ...before, testOrders: [testOrder] }).length).toBeGreaterThan(0);
    const line = { country: 'CA', pattern: 'B3H*', served: true, cashOnDelivery: false, days: 900 };
    expect(codes(makeBook({ postalList: [line] }))).toEqual(['postalList.days: too-big']);
    const rows = [{ country: 'CA', from: 0, amount: -5 }];
    expect(codes(makeBook({ rateTables: [{ id: 't', name: 'T', basis: 'weight', rows }] }))).toEqual([
      'rateTables.rows[0].amount: too-small',
    ]);
  });

  test('is what reading the whole book would find: nothing more, nothing less, after any change of the demo', () => {
    const was = { book: demoBook, catalogue: demoCatalogue, testOrders: [] };
    // What no edit can make, as a kind that there is not, may end the look at it: that counts as a fault.
    const isSound = (book: Book): boolean => {
      try {
        return changedFaults(was, { ...was, book }).length === 0;
      } catch {
        return false;
      }
    };
    const isRead = (book: Book): boolean =>
      readBook(book).ok && catalogueFaults(demoCatalogue, book).length === 0;
    const changes = oneChange<Book>(demoBook).filter(
      ({ path: [part] }) => part !== 'format' && part !== 'version',
    );
    const unlike = changes.filter(({ value }) => isSound(value) !== isRead(value));
    expect(changes.length).toBeGreaterThan(700);
    expect(unlike.map(({ path }) => path.join('.'))).toEqual([]);
  });
});
