import { printable } from './print.ts';

describe('what papers can print', () => {
  test('keeps the letters of western Europe and their marks', () => {
    for (const text of ['Zoë Núñez, 4 Straße', '€ 4,50 – “signed for”', 'Œuvre'])
      expect(printable(text)).toBe(text);
  });

  test('takes only the mark from a letter that it lacks', () => {
    expect(printable('Åse Łęcka')).toBe('Åse Lecka');
    expect(printable('Dvořák, Đorđe, Şafak Işık')).toBe('Dvorák, Dorde, Safak Isik');
    expect(printable('e\u0301tage')).toBe('étage');
  });

  test('says by a question mark that a letter is missing', () => {
    expect(printable('東京, 4 Tide Lane')).toBe('??, 4 Tide Lane');
  });
});
