import { act, fireEvent, screen } from '@testing-library/react-native';
import { demoStore, renderOver } from '../testing/store.tsx';
import { Chooser } from './chooser.tsx';

jest.useFakeTimers();

const OPTIONS = [
  { id: 'CA-NS', name: 'Nova Scotia' },
  { id: 'CA-NU', name: 'Nunavut' },
];
const open = () => {
  const choose = jest.fn();
  renderOver(
    demoStore(),
    <Chooser label="Province" chosen="Nova Scotia" options={OPTIONS} onChoose={choose} />,
  );
  return { choose, field: screen.getByLabelText('Province') };
};

test('what is typed is found by the beginning of its name, or taken by Enter', () => {
  const { choose, field } = open();
  fireEvent(field, 'focus');
  fireEvent.changeText(field, 'nun');
  expect(screen.queryByText('Nova Scotia')).toBeNull();
  fireEvent(field, 'submitEditing');
  expect(choose).toHaveBeenCalledWith('CA-NU');
  fireEvent.changeText(field, 'elsewhere');
  expect(screen.getByText('Nothing matches “elsewhere”.')).toBeTruthy();
});

test('a field that is left shows what is chosen, but not while one is back in it', () => {
  const { field } = open();
  fireEvent(field, 'focus');
  fireEvent.changeText(field, 'nun');
  fireEvent(field, 'blur');
  fireEvent(field, 'focus');
  fireEvent.changeText(field, 'nu');
  act(() => jest.advanceTimersByTime(1_000));
  expect(field.props['value']).toBe('nu');
  fireEvent(field, 'blur');
  act(() => jest.advanceTimersByTime(1_000));
  expect(field.props['value']).toBe('Nova Scotia');
});
