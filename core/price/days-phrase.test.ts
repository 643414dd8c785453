import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import { makeBook, makeCatalogue, makeRate, makeRequest, makeYard } from '../testing/book.ts';
import { daysPhrase } from './days-phrase.ts';

const said = (part: Parameters<typeof makeBook>[0]): string[] => {
  const book = makeBook(part);
  return quote(compile(book, makeCatalogue()), makeRequest()).choices.map((choice) =>
    daysPhrase(book, choice),
  );
};

test('the days of a rate are said where no date can be worked out, and only there', () => {
  const rates = [makeRate({ transit: { min: 2, max: 4 } })];
  expect(said({ rates })).toEqual(['2 to 4 working days']);
  expect(said({ rates, locations: [makeYard({ hours: [] })] })).toEqual(['2 to 4 working days']);
  expect(said({ rates, locations: [makeYard()] })).toEqual(['']);
  expect(said({})).toEqual(['']);
});
