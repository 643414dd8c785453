import { fireEvent, screen } from '@testing-library/react-native';
import { selectBook, selectPreview } from '../../../state/selectors.ts';
import type { AppStore } from '../../../state/store.ts';
import { demoStore, renderOver } from '../../../testing/store.tsx';
import PostalPart from './postal-part.tsx';

jest.mock('../../../parts/use-width.ts', () => ({ useWidth: () => 'wide' }));

const open = (): AppStore => {
  const store = demoStore();
  renderOver(store, <PostalPart onFile={() => undefined} />);
  return store;
};
const listOf = (store: AppStore) => selectBook(store.getState()).postalList;
const type = (label: string, text: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};
const codes = (store: AppStore): string[] => {
  const preview = selectPreview(store.getState());
  return preview?.ok ? [...new Set(preview.quote.withheld.map(({ code }) => code))] : [];
};

test('a line that is not served keeps everything from its codes, at once', () => {
  const store = open();
  fireEvent.press(screen.getByLabelText('CA B2G*: served · cash on delivery'));
  fireEvent.press(screen.getByLabelText('Served'));
  expect(codes(store)).toEqual(['postal-not-served', 'too-far']);
  type('Postal code', 'B2H*');
  expect(codes(store)).not.toContain('postal-not-served');
  type('Days', '900');
  expect(screen.getByText('Write a whole number from 0 to 365. Kept: nothing')).toBeTruthy();
});

test('codes that are not listed are served or not, as is said', () => {
  const store = open();
  fireEvent.press(screen.getByLabelText('CA B2G*: served · cash on delivery'));
  fireEvent.press(screen.getByText('Remove the line'));
  expect(codes(store)).not.toContain('postal-not-served');
  fireEvent.press(screen.getAllByText('not served')[0]!);
  expect(codes(store)).toEqual(['postal-not-served', 'too-far']);
});

test('a line is added, and the list cleared with a way back', () => {
  const store = open();
  const before = listOf(store).length;
  fireEvent.press(screen.getByText('Add a line'));
  expect(listOf(store)).toHaveLength(before + 1);
  fireEvent.press(screen.getByText('Clear the list'));
  expect(listOf(store)).toHaveLength(0);
  expect(screen.getByText(/^Where couriers reach only some codes/)).toBeTruthy();
  expect(store.getState().session.message?.undo).toBe(true);
});
