import fc from 'fast-check';
import { typedMeasure } from '../../core/formats/measure-typed.ts';
import { typedSize } from '../../core/formats/size-typed.ts';
import { typedMoney, typedPercent, type Mark } from '../../core/formats/typed.ts';
import { GREATEST_MONEY, GREATEST_POINTS, GREATEST_WEIGHT } from '../../core/model/bounds.ts';
import { measureFigure, moneyFigure, percentFigure, sizeFigure } from '../../core/words/figure.ts';
import { fieldMarkIn } from './readers.ts';

/** Every locale of the platform with a language of two or three letters. */
const LETTERS = [...'abcdefghijklmnopqrstuvwxyz'];
const LOCALES = Intl.NumberFormat.supportedLocalesOf([
  ...LETTERS.flatMap((a) => LETTERS.flatMap((b) => [a + b, ...LETTERS.map((c) => a + b + c)])),
  ...['de-AT', 'de-CH', 'de-LI', 'en-ZA', 'es-MX', 'fr-CA', 'fr-CH', 'pt-PT', 'sr-Latn', 'ar-EG', 'bn-IN'],
]);
const MARKS = [...new Set(LOCALES.map(fieldMarkIn))];

const grams = fc.integer({ min: 0, max: GREATEST_WEIGHT });
/** Thousandths are where a mark of decimals is taken for one of thousands. */
const thousandths = fc.integer({ min: 0, max: 99_999 });

test('the platform has locales of both marks', () => {
  expect(LOCALES.length).toBeGreaterThan(100);
  expect([...MARKS].sort()).toEqual(['.', 'either']);
});

describe.each(MARKS)(
  'where the mark of decimals is %s, what a field shows is read again as it is',
  (mark: Mark) => {
    test.each([0, 1, 2, 3, 4])('an amount of a currency with %i decimals', (decimals) => {
      const amount = fc.oneof(thousandths, fc.integer({ min: 0, max: GREATEST_MONEY }));
      fc.assert(
        fc.property(amount, (value) => {
          expect(typedMoney(moneyFigure(value, decimals), decimals, mark)).toEqual({ ok: true, value });
        }),
      );
    });

    test.each(['weight', 'volume', 'distance', 'longestSide', 'units'] as const)(
      'a measure of %s',
      (measure) => {
        const display = { decimals: 2, units: 'metric' } as const;
        fc.assert(
          fc.property(fc.oneof(thousandths, grams), (value) => {
            expect(typedMeasure(measure, measureFigure(measure, value, display), display, mark)).toEqual({
              ok: true,
              value,
            });
          }),
          { examples: [[5_001], [1_250]] },
        );
      },
    );

    test('a weight in pounds and ounces', () => {
      const display = { decimals: 2, units: 'imperial' } as const;
      fc.assert(
        fc.property(
          fc.integer({ min: 0, max: 2_000 }),
          fc.integer({ min: 0, max: 1_599 }),
          (pounds, ounces) => {
            const typed = typedMeasure('weight', `${pounds} lb ${ounces / 100} oz`, display, mark);
            const value = typed.ok ? typed.value : -1;
            expect(typedMeasure('weight', measureFigure('weight', value, display), display, mark)).toEqual(
              typed,
            );
          },
        ),
      );
    });

    test('a size, and a percentage', () => {
      const side = fc.integer({ min: 1, max: 100_000 });
      fc.assert(
        fc.property(side, side, side, (length, width, height) => {
          const size = { length, width, height };
          expect(typedSize(sizeFigure(size, 'metric'), 'cm', mark)).toEqual(size);
        }),
      );
      fc.assert(
        fc.property(fc.integer({ min: 0, max: GREATEST_POINTS }), (value) => {
          expect(typedPercent(percentFigure(value), mark)).toEqual({ ok: true, value });
        }),
      );
    });
  },
);

test('where people write a comma, it marks decimals whatever follows, and the program’s own dot does too', () => {
  const display = { decimals: 2, units: 'metric' } as const;
  const weight = (text: string): unknown => typedMeasure('weight', text, display, fieldMarkIn('de'));
  expect([weight('5,001 kg'), weight('5.001 kg'), weight('1.250,5 kg')]).toEqual([
    { ok: true, value: 5_001 },
    { ok: true, value: 5_001 },
    { ok: true, value: 1_250_500 },
  ]);
});
