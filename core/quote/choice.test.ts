import type { Adjustment } from '../model/adjustment.ts';
import type { Book } from '../model/book.ts';
import { makeBook, makeRate, onlyChoice, onlyWithheld, quoted } from '../testing/book.ts';

describe('a choice', () => {
  test('holds nothing of what is not known', () => {
    const choice = onlyChoice(quoted(makeBook()));
    expect(Object.keys(choice).filter((key) => choice[key as keyof typeof choice] === undefined)).toEqual([]);
    for (const key of ['cost', 'note', 'slots', 'hint']) expect(choice).not.toHaveProperty(key);
  });

  test('hints at what would make it free only where there is such a sum and a charge', () => {
    const hint = (rate: Parameters<typeof makeRate>[0], more: Partial<Book> = {}) =>
      onlyChoice(quoted(makeBook({ rates: [makeRate(rate)], ...more }))).hint;
    expect(hint({ freeFrom: 3_000 })).toEqual({ kind: 'free-from', short: 2_000 });
    expect(hint({})).toBeUndefined();
    const free: Adjustment = {
      id: 'free',
      name: 'Free',
      active: true,
      when: [],
      to: {},
      effect: { do: 'free' },
    };
    expect(hint({ freeFrom: 3_000 }, { adjustments: [free] })).toBeUndefined();
  });
});

test('what is withheld by no rule of ours for customers says so in JSON, and has no message', () => {
  expect(onlyWithheld(quoted(makeBook({ rates: [] }))).text).not.toContain('deliberately');
  const json = JSON.parse(JSON.stringify(onlyWithheld(quoted(makeBook({ rates: [] }))))) as object;
  expect(json).toMatchObject({ code: 'no-rate', tell: false });
  expect(Object.keys(json)).not.toContain('message');
});

test('what is withheld in the merchant’s own words has them in JSON too', () => {
  const rates = [makeRate({ limits: { weight: { max: 1 } }, whenWithheld: 'tell', message: 'Ask us.' })];
  const json = JSON.parse(JSON.stringify(onlyWithheld(quoted(makeBook({ rates }))))) as object;
  expect(json).toMatchObject({ tell: true, message: 'Ask us.' });
});
