import type { Outcome } from './check-test-order.ts';
import { makeBook, makeZone } from '../testing/book.ts';
import { choiceNames, expectationWords, outcomeSentence } from './outcome-sentence.ts';

const SPEECH = { decimals: 2, units: 'metric' as const };
const names = choiceNames(makeBook({ zones: [makeZone('country', { name: 'Home' })] }));

test('every choice that a book can give has a name', () => {
  expect(Object.fromEntries(names)).toEqual({
    parcel: 'Parcel',
    'parcel-country': 'Parcel to Home',
    'parcel-country:DAP': 'Parcel to Home, DAP',
    'parcel-country:DDP': 'Parcel to Home, DDP',
    'nothing-to-ship': 'Nothing to ship',
  });
});

describe('an expectation in words', () => {
  test.each<[Outcome['expects'], string]>([
    [{ kind: 'offered', choiceId: 'parcel-country' }, 'Parcel to Home is offered'],
    [
      { kind: 'offered', choiceId: 'parcel-country', charge: { min: 100, max: 900 } },
      'Parcel to Home costs 1.00 to 9.00',
    ],
    [{ kind: 'withheld', id: 'gone' }, 'gone is withheld'],
    [{ kind: 'withheld', id: 'parcel', code: 'no-rate' }, 'Parcel is withheld (no-rate)'],
    [{ kind: 'how-many', of: 'shipping', max: 0 }, 'no shipped choices'],
    [{ kind: 'how-many', of: 'pickup', min: 2, max: 2 }, '2 pickup points'],
    [{ kind: 'how-many', of: 'delivery', min: 1, max: 3 }, '1 to 3 delivered choices'],
    [{ kind: 'how-many', of: 'shipping', min: 1 }, 'at least 1 shipped choices'],
    [{ kind: 'how-many', of: 'shipping', max: 4 }, 'at most 4 shipped choices'],
    [{ kind: 'how-many', of: 'shipping' }, 'any number of shipped choices'],
    [{ kind: 'cheapest', choiceId: 'parcel-country' }, 'Parcel to Home is the cheapest'],
  ])('%j', (expects, words) => {
    expect(expectationWords(expects, names, SPEECH)).toBe(words);
    expect(outcomeSentence({ expects, came: null }, names, SPEECH)).toBe(`${words}.`);
  });
});

describe('what came instead', () => {
  const expects = { kind: 'cheapest', choiceId: 'parcel-country' } as const;
  test.each<[NonNullable<Outcome['came']>, string]>([
    [{ kind: 'charge', charge: 845 }, 'costs 8.45'],
    [{ kind: 'offered', charge: 845 }, 'offered for 8.45'],
    [{ kind: 'withheld', code: 'no-rate', text: 'No rate here.' }, 'withheld: No rate here'],
    [{ kind: 'absent' }, 'the book has no such choice here'],
    [{ kind: 'count', count: 3 }, '3 came'],
    [{ kind: 'cheapest', id: 'van', name: 'Van', charge: 300 }, 'Van is cheaper, 3.00'],
    [{ kind: 'no-choice' }, 'no choice at all'],
  ])('%j', (came, words) => {
    expect(outcomeSentence({ expects, came }, names, SPEECH)).toBe(
      `Expected: Parcel to Home is the cheapest. Got: ${words}.`,
    );
  });
});
