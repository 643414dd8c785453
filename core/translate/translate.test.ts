import { datesText, typedDates } from '../formats/dates-typed.ts';
import { ANY_CODE } from '../place/code-shapes.ts';
import { pastedPatterns } from '../place/pasted-patterns.ts';
import { patternNames } from '../place/written-code.ts';
import { inEnglish, speakBy, spokenLocale, t, type Translate } from './translate.ts';
import { translatorOf } from './translator.ts';
import { moneyFigure, weightFigure, wholeFigure } from '../words/figure.ts';

afterEach(() => speakBy(inEnglish, 'en'));

describe('a text in English', () => {
  test('is its source, with names and counts put in', () => {
    expect(t('Minimum order')).toBe('Minimum order');
    expect(t('{service} to {zone}', { service: 'Parcel', zone: 'West' })).toBe('Parcel to West');
    const rows = '{count, plural, one {# row} other {# rows}} in {file}';
    expect([1, 2, 20_000].map((count) => t(rows, { count, file: 'a.csv' }))).toEqual([
      '1 row in a.csv',
      '2 rows in a.csv',
      '20,000 rows in a.csv',
    ]);
    const way = '{amount} {way, select, off {off} other {more}}';
    expect([t(way, { amount: '2.50', way: 'off' }), t(way, { amount: '2.50', way: 'more' })]).toEqual([
      '2.50 off',
      '2.50 more',
    ]);
  });

  test('writes nothing for what is not there, and fails for a value that was forgotten', () => {
    expect(t('in {place}', { place: undefined })).toBe('in ');
    expect(() => t('in {place}')).toThrow('place');
    expect(() => t('in {place', { place: 'Halifax' })).toThrow('brace');
  });
});

describe('another language', () => {
  const french = translatorOf(
    {
      'Minimum order': 'Commande minimale',
      'button\u0004Open': 'Ouvrir',
      'state\u0004Open': 'Ouvert',
      '{count, plural, one {# row} other {# rows}}':
        '{count, plural, =0 {aucune ligne} one {# ligne} other {# lignes}}',
    },
    'fr',
  );

  test('says what its catalogue has, by context, and English else', () => {
    speakBy(french, 'fr');
    expect(spokenLocale()).toBe('fr');
    expect(t('Minimum order')).toBe('Commande minimale');
    expect([t('Open', {}, 'button'), t('Open', {}, 'state'), t('Open')]).toEqual([
      'Ouvrir',
      'Ouvert',
      'Open',
    ]);
    expect(t('{service} to {zone}', { service: 'Colis', zone: 'Ouest' })).toBe('Colis to Ouest');
  });

  test('has plurals and figures by its own rules', () => {
    speakBy(french, 'fr');
    const rows: Parameters<Translate>[0] = '{count, plural, one {# row} other {# rows}}';
    expect([0, 1, 1_500].map((count) => t(rows, { count }))).toEqual([
      'aucune ligne',
      '1 ligne',
      '1\u202F500 lignes',
    ]);
    expect([moneyFigure(2_264_066, 2), weightFigure(1_250, 'metric'), wholeFigure(999)]).toEqual([
      '22\u202F640,66',
      '1,25 kg',
      '999',
    ]);
  });
});

describe('ranges in another language', () => {
  beforeEach(() =>
    speakBy(
      translatorOf(
        {
          'codes\u0004{from} to {to}': '{from} à {to}',
          'dates\u0004{from} to {to}': '{from} au {to}',
        },
        'fr',
      ),
      'fr',
    ),
  );

  test('of codes are named by its word, and read again the same', () => {
    expect(patternNames('CH', ['1000 to 1018', '1020'])).toEqual(['1000 à 1018', '1020']);
    expect(patternNames('GB', ['IV1???', 'IV2???', 'IV3???'])).toEqual(['IV1 à IV3']);
    expect(pastedPatterns('CH', '1000 à 1018, 1020', ANY_CODE).patterns).toEqual(['1000 to 1018', '1020']);
    expect(pastedPatterns('GB', 'IV1 à IV3', ANY_CODE).patterns).toEqual(['IV1???', 'IV2???', 'IV3???']);
  });

  test('of dates are too', () => {
    expect(datesText(['2026-12-24', '2026-12-25', '2027-01-01'])).toBe(
      '2026-12-24 au 2026-12-25, 2027-01-01',
    );
    expect(typedDates('2026-12-24 au 2026-12-25')).toEqual(typedDates('2026-12-24 to 2026-12-25'));
    expect(typedDates('2026-12-24 à 2026-12-25')).toEqual(typedDates('2026-12-24 to 2026-12-25'));
  });
});
