import type { Store } from '../model/store.ts';
import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import { makeBook, makeCatalogue, makeRequest } from '../testing/book.ts';
import { ENGLISH_WORDS } from '../testing/words.ts';
import { codeAnswer } from './code-answer.ts';

const answer = (code: string, codeCheck?: Store['codeCheck'], cashOnDelivery = false): string => {
  const book = makeBook({
    store: codeCheck ? { codeCheck } : {},
    postalList: [
      { country: 'CA', pattern: 'B2G*', served: true, cashOnDelivery },
      { country: 'CA', pattern: 'B1P*', served: false, cashOnDelivery: false },
    ],
    payments: [{ id: 'cash', name: 'Cash', kind: 'on-delivery', for: ['shipping'] }],
  });
  const compiled = compile(book, makeCatalogue());
  const request = makeRequest({
    destination: { country: 'CA', subdivision: 'CA-NS', postalCode: code },
  });
  return codeAnswer(compiled, request, quote(compiled, request), '2026-11-24', ENGLISH_WORDS);
};

describe('what the product page answers to a postal code', () => {
  test('is what checkout charges, and that nothing can be paid at the door where the list says so', () => {
    expect(answer('B2G 2L2')).toBe('We bring it to you for 8.45. You cannot pay at the door there.');
    expect(answer('B2G 2L2', undefined, true)).toBe('We bring it to you for 8.45; you can pay at the door.');
  });

  test('is in the merchant’s words where there are some', () => {
    const own = { active: true, served: 'Yes!', notServed: 'Not yet, sorry.', noCash: 'No cash there.' };
    expect(answer('B2G 2L2', own)).toBe('Yes! We bring it to you for 8.45. No cash there.');
    expect(answer('B1P 6K1', own)).toBe('Not yet, sorry.');
    expect(answer('B1P 6K1')).toMatch(/^We do not send to this address\./);
  });
});
