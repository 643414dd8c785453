import { fireEvent, screen } from '@testing-library/react-native';
import { demoStore, renderOver } from '../testing/store.tsx';
import { DraftField } from './draft-field.tsx';
import {
  optional,
  readCountWithin,
  readDate,
  readMeasure,
  readMoney,
  readName,
  readTime,
} from './readers.ts';

const METRIC = { decimals: 2, units: 'metric' as const };
const changes: [unknown, string][] = [];
beforeEach(() => changes.splice(0));

const show = (text = '8.50') =>
  renderOver(
    demoStore(),
    <DraftField
      label="Charge"
      text={text}
      read={readMoney(METRIC)}
      onChange={(value, visit) => changes.push([value, visit])}
    />,
  );

describe('a field of the draft', () => {
  test('hands on each sound value as it is typed, all of one visit alike', () => {
    show();
    const field = screen.getByLabelText('Charge');
    fireEvent(field, 'focus');
    for (const text of ['1', '12', '12.', '12.5']) fireEvent.changeText(field, text);
    expect(changes.map(([value]) => value)).toEqual([100, 1_200, 1_200, 1_250]);
    expect(new Set(changes.map(([, visit]) => visit)).size).toBe(1);
    fireEvent(field, 'blur');
    fireEvent(field, 'focus');
    fireEvent.changeText(field, '9');
    expect(new Set(changes.map(([, visit]) => visit)).size).toBe(2);
  });

  test('says what is wrong, and on leaving what was kept', () => {
    show();
    const field = screen.getByLabelText('Charge');
    fireEvent(field, 'focus');
    fireEvent.changeText(field, '8.x');
    expect(screen.getByText('Write an amount, such as 12.50.')).toBeTruthy();
    fireEvent(field, 'blur');
    expect(screen.getByText('Write an amount, such as 12.50. Kept: 8.50')).toBeTruthy();
    expect(changes).toEqual([]);
  });
});

describe('readers', () => {
  test('take what people write and say what would be right', () => {
    expect(readMeasure('weight', METRIC)('7 lb 4 oz')).toEqual({ ok: true, value: 3_288.5446825 });
    expect(readMeasure('weight', { ...METRIC, units: 'imperial' })('x')).toEqual({
      ok: false,
      text: 'Write a weight, such as 7 lb 4 oz.',
    });
    expect(optional(readMoney(METRIC))(' ')).toEqual({ ok: true, value: undefined });
    expect(readCountWithin(1, 9)('10')).toEqual({ ok: false, text: 'Write a whole number from 1 to 9.' });
    expect([
      readDate('2026-02-30').ok,
      readDate('2026-02-28').ok,
      readTime('24:00').ok,
      readTime('09:30').ok,
    ]).toEqual([false, true, false, true]);
    expect([readName('  ').ok, readName('x'.repeat(121)).ok, readName(' Parcel ')]).toEqual([
      false,
      false,
      { ok: true, value: 'Parcel' },
    ]);
  });
});
