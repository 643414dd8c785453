import type { Book } from '../model/book.ts';
import { answersAtOnce } from '../../carriers/stand-ins.ts';
import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { demoTestOrders } from '../../demo/test-orders.ts';
import { readBook } from '../formats/read.ts';
import { oneChange } from '../testing/one-change.ts';
import { compile, type CompiledBook } from './compile.ts';
import { makeParts } from './compiled-parts.ts';
import { quote } from './quote.ts';

test('compiling again after changes all over the demo gives what compiling all anew gives, and the demo again after it', () => {
  const parts = makeParts();
  const requests = demoTestOrders.slice(0, 3).map(({ request }) => request);
  const quotesOf = (compiled: CompiledBook): string =>
    JSON.stringify(requests.map((request) => quote(compiled, request)));
  const before = quotesOf(compile(demoBook, demoCatalogue, answersAtOnce, parts));
  const unlike = oneChange<Book>(demoBook)
    .filter((_, at) => at % 6 === 0)
    .filter(({ value }) => readBook(value).ok)
    .filter(
      ({ value }) =>
        quotesOf(compile(value, demoCatalogue, answersAtOnce, parts)) !==
        quotesOf(compile(value, demoCatalogue, answersAtOnce)),
    );
  expect(unlike.map(({ path }) => path.join('.'))).toEqual([]);
  expect(quotesOf(compile(demoBook, demoCatalogue, answersAtOnce, parts))).toBe(before);
});
