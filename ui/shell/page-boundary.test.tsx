import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { useState } from 'react';
import { Text } from 'react-native-paper';
import { saveFile } from '../files/files.ts';
import { edit } from '../state/draft.ts';
import { selectBook } from '../state/selectors.ts';
import { useBookParts } from '../state/use-book-parts.ts';
import { demoStore, renderOver } from '../testing/store.tsx';
import { PageBoundary } from './page-boundary.tsx';

jest.mock('../files/files.ts', () => ({
  ...jest.requireActual<object>('../files/files.ts'),
  saveFile: jest.fn(),
}));

/** A page that cannot be drawn for a shop of one name. */
const Page = () => {
  const { name } = useBookParts('store').store;
  if (name === 'Breaks') throw new Error('the name is not drawn');
  return <Text>{name}</Text>;
};

beforeEach(() => jest.spyOn(console, 'error').mockImplementation(() => undefined));

test('a page that cannot be drawn says why, is mended by undo, and lets the shop be saved', async () => {
  const store = demoStore();
  const { name } = selectBook(store.getState()).store;
  store.dispatch(edit('setStore', { changes: { name: 'Breaks' } }, 'Name the shop'));
  renderOver(
    store,
    <PageBoundary>
      <Page />
    </PageBoundary>,
  );
  expect(screen.getByText('What went wrong: the name is not drawn')).toBeTruthy();
  fireEvent.press(screen.getByText('Save the whole shop as a file'));
  await waitFor(() => expect(saveFile).toHaveBeenCalledTimes(1));
  const [file, text] = jest.mocked(saveFile).mock.calls[0] ?? [];
  expect(file).toMatch(/^breaks-shop-.*\.json$/);
  expect(JSON.parse(text ?? '')).toMatchObject({
    format: 'emporos-shop',
    book: { store: { name: 'Breaks' } },
  });
  fireEvent.press(screen.getByText('Undo: Name the shop'));
  expect(screen.getByText(name)).toBeTruthy();
});

/** Two pages, one of which cannot be drawn, and the way from one to the other. */
const Pages = () => {
  const [path, setPath] = useState('/today');
  return (
    <>
      <PageBoundary key={path}>{path === '/today' ? <Page /> : <Text>Products</Text>}</PageBoundary>
      <Text onPress={() => setPath('/goods')}>Go on</Text>
    </>
  );
};

test('another page is drawn in place of one that could not be', () => {
  const store = demoStore();
  store.dispatch(edit('setStore', { changes: { name: 'Breaks' } }, 'Name the shop'));
  renderOver(store, <Pages />);
  expect(screen.getByText(/^What went wrong: /)).toBeTruthy();
  fireEvent.press(screen.getByText('Go on'));
  expect(screen.getByText('Products')).toBeTruthy();
  expect(screen.queryByText(/^What went wrong: /)).toBeNull();
});
