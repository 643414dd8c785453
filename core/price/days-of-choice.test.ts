import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import { makeBook, makeCatalogue, makeRate, makeRequest, makeYard } from '../testing/book.ts';
import { daysOfChoice } from './days-of-choice.ts';

const said = (part: Parameters<typeof makeBook>[0]): unknown[] => {
  const book = makeBook(part);
  return quote(compile(book, makeCatalogue()), makeRequest()).choices.map((choice) =>
    daysOfChoice(book, choice),
  );
};

test('the days of a rate are said where no date can be worked out, and only there', () => {
  const rates = [makeRate({ transit: { min: 2, max: 4 } })];
  expect(said({ rates })).toEqual([{ min: 2, max: 4 }]);
  expect(said({ rates, locations: [makeYard({ hours: [] })] })).toEqual([{ min: 2, max: 4 }]);
  expect(said({ rates, locations: [makeYard()] })).toEqual([null]);
  expect(said({})).toEqual([null]);
});
