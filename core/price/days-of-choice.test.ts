import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import {
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeRate,
  makeRequest,
  makeYard,
} from '../testing/book.ts';
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

test('a carrier’s service may have days of its own, else those of its rate', () => {
  const price = makeCarrierPrice({
    services: [{ code: 'ground' }, { code: 'air', transit: { min: 1, max: 1 } }],
  });
  const rates = [
    makeRate({ id: 'other', transit: { min: 9, max: 9 } }),
    makeRate({ id: 'carried', price, transit: { min: 2, max: 4 } }),
  ];
  const days = (rateId: string, serviceCode?: string) =>
    daysOfChoice({ rates }, { of: { rateId, ...(serviceCode === undefined ? {} : { serviceCode }) } });
  expect([days('carried', 'air'), days('carried', 'ground'), days('other', 'air'), days('gone')]).toEqual([
    { min: 1, max: 1 },
    { min: 2, max: 4 },
    { min: 9, max: 9 },
    null,
  ]);
  expect(daysOfChoice({ rates }, { of: { areaId: 'ring' } })).toBeNull();
});
