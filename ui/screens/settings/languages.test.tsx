import { act, fireEvent, screen, within } from '@testing-library/react-native';
import { undone } from '../../state/draft.ts';
import { selectBook } from '../../state/selectors.ts';
import { demoStore, renderOver } from '../../testing/store.tsx';
import { Languages } from './languages.tsx';

jest.setTimeout(60_000);

const write = (label: string, text: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};

describe('the languages of the shop', () => {
  test('say how much is translated, and take a translation, which undo takes back', () => {
    const store = demoStore();
    renderOver(store, <Languages onTexts={() => undefined} />);
    screen.getByText('French: 60 of 64 texts translated');
    expect(screen.queryByLabelText('“Parcel” in French')).toBeNull();
    write('“Planting plan, PDF” in French', 'Plan de plantation, PDF');
    screen.getByText('French: 61 of 64 texts translated');
    screen.getByText('Not translated, 3');
    // It stays where it was typed.
    screen.getByLabelText('“Planting plan, PDF” in French');
    expect(selectBook(store.getState()).translations).toContainEqual({
      language: 'fr',
      text: 'Planting plan, PDF',
      as: 'Plan de plantation, PDF',
    });
    act(() => void store.dispatch(undone()));
    expect(selectBook(store.getState()).translations).not.toContainEqual(
      expect.objectContaining({ text: 'Planting plan, PDF' }),
    );
  });

  test('a translation that is emptied is taken out; every text is there to be looked at', () => {
    const store = demoStore();
    renderOver(store, <Languages onTexts={() => undefined} />);
    fireEvent.press(screen.getByText('All texts'));
    within(screen.getByLabelText('Ways to get an order')).getByLabelText('“Parcel” in French');
    write('“Parcel” in French', '');
    screen.getByText('French: 59 of 64 texts translated');
  });

  test('a language is offered or not; which one the texts are in is said', () => {
    const store = demoStore();
    renderOver(store, <Languages onTexts={() => undefined} />);
    const languages = () => selectBook(store.getState()).store.languages;
    fireEvent.press(screen.getByLabelText('Customers can also read the shop in French'));
    expect(languages()).toEqual(['en']);
    expect(screen.queryByText(/texts translated/)).toBeNull();
    fireEvent.press(screen.getByText('French'));
    expect(languages()).toEqual(['fr']);
    fireEvent.press(screen.getByLabelText('Customers can also read the shop in English'));
    expect(languages()).toEqual(['fr', 'en']);
    screen.getByText('English: 0 of 64 texts translated');
  });
});
