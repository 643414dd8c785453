import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { edit } from '../state/draft.ts';
import { keysToggled, messageShown } from '../state/session.ts';
import { keeping, keepingFailed, kept, type SetAsideDocument } from '../state/storage-status.ts';
import { selectBook } from '../state/selectors.ts';
import { makeStore, type AppStore } from '../state/store.ts';
import { currentAddress, goTo } from '../testing/router.ts';
import { pressLink } from '../testing/press-link.ts';
import { demoStore, renderOver } from '../testing/store.tsx';
import { BottomBar } from './bottom-bar.tsx';
import KeysDialog from './keys-dialog.tsx';
import { Message } from './message.tsx';
import { PageHead } from '../page/page-head.tsx';
import { PhoneMenu } from '../page/phone-menu.tsx';
import { Rail } from './rail.tsx';
import StartFault from './start-fault.tsx';
import { StorageBar } from './storage-bar.tsx';

const west = (store: AppStore) => selectBook(store.getState()).zones.find((zone) => zone.id === 'west')?.name;
const rename = (name: string) => edit('setZone', { id: 'west', changes: { name } }, 'West: name');

describe('the head of a page', () => {
  test('names what undo and redo would do, and does it', () => {
    const store = demoStore();
    renderOver(store, <PageHead title="Charges" />);
    expect(screen.getByLabelText('Undo').props.accessibilityState.disabled).toBe(true);
    act(() => void store.dispatch(rename('Prairies')));
    fireEvent.press(screen.getByLabelText('Undo: West: name'));
    expect(west(store)).toBe('West');
    fireEvent.press(screen.getByLabelText('Redo: West: name'));
    expect(west(store)).toBe('Prairies');
  });

  test('says whether the draft is kept', async () => {
    const store = demoStore();
    renderOver(store, <PageHead title="Charges" />);
    expect(screen.getByText('Draft saved')).toBeTruthy();
    act(() => void store.dispatch(keeping()));
    expect(await screen.findByText('Saving draft')).toBeTruthy();
    act(() => void store.dispatch(keepingFailed('the disk is full')));
    expect(screen.getByText('Draft not saved')).toBeTruthy();
  });

  test('leads back where the page was opened from another', () => {
    const back = jest.fn();
    renderOver(demoStore(), <PageHead title="Parcel to West" back={{ name: 'Charges', onPress: back }} />);
    fireEvent.press(screen.getByLabelText('Back to Charges'));
    expect(back).toHaveBeenCalled();
  });
});

describe('the menu of a phone', () => {
  test('stays open when the head of its page is drawn anew, and is closed on another page', () => {
    const store = demoStore();
    const { unmount } = renderOver(store, <PhoneMenu />);
    fireEvent.press(screen.getByLabelText('Menu'));
    expect(screen.getByText('Shopfront')).toBeTruthy();
    unmount();
    renderOver(store, <PhoneMenu />);
    expect(screen.getByText('Shopfront')).toBeTruthy();
    act(() => goTo('/goods'));
    expect(screen.queryByText('Shopfront')).toBeNull();
  });

  test('closes on what is chosen in it', () => {
    goTo('/charges');
    const store = demoStore();
    renderOver(store, <PhoneMenu />);
    fireEvent.press(screen.getByLabelText('Menu'));
    fireEvent.press(screen.getByText('Settings'));
    expect(currentAddress().pathname).toBe('/settings');
    expect(store.getState().session.menuOn).toBeNull();
  });
});

describe('the bar about storage', () => {
  test('is there only when something is wrong', async () => {
    const store = demoStore();
    renderOver(store, <StorageBar />);
    expect(screen.queryByRole('alert')).toBeNull();
    act(() => void store.dispatch(keepingFailed('the disk is full')));
    expect(screen.getByText(/not being kept on this device \(the disk is full\)/)).toBeTruthy();
    act(() => void store.dispatch(kept()));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });

  test('names what was set aside', () => {
    const { draft } = demoStore().getState();
    const aside = (document: string, why: SetAsideDocument['why']): SetAsideDocument => ({
      key: document,
      document,
      why,
      at: '',
    });
    const news = [
      aside('draft', 'unreadable'),
      aside('session', 'unreadable'),
      aside('catalogue', 'other-tab'),
    ];
    renderOver(makeStore({ draft, storage: { news } }), <StorageBar />);
    expect(
      screen.getByText(/could not be read and was set aside, not overwritten: draft, session\./),
    ).toBeTruthy();
    expect(screen.getByText(/Another tab changed the shop.*: catalogue\./)).toBeTruthy();
    fireEvent.press(screen.getByText('OK'));
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('a device whose storage cannot be opened', () => {
  test('is told with the reason, and offers to try again or to go on without', () => {
    const acts = { onAgain: jest.fn(), onWithout: jest.fn() };
    renderOver(demoStore(), <StartFault reason="the database is blocked" {...acts} />);
    expect(screen.getByText('The browser says: the database is blocked')).toBeTruthy();
    fireEvent.press(screen.getByText('Try again'));
    fireEvent.press(screen.getByText('Go on with the demo, keeping nothing'));
    expect([acts.onAgain.mock.calls.length, acts.onWithout.mock.calls.length]).toEqual([1, 1]);
  });
});

describe('the rail', () => {
  test('shows where one is, the colours and the keys', () => {
    goTo('/charges');
    const store = demoStore();
    renderOver(store, <Rail />);
    expect(screen.getByText('Charges')).toBeTruthy();
    fireEvent.press(screen.getByText('Dark'));
    expect(store.getState().session.colours).toBe('dark');
    fireEvent.press(screen.getByText('Keyboard'));
    expect(store.getState().session.keysShown).toBe(true);
  });
});

describe('the bar along the bottom', () => {
  test('goes to each place of the program', () => {
    goTo('/charges');
    renderOver(demoStore(), <BottomBar />);
    pressLink(screen.getByText('Reach'));
    expect(currentAddress().pathname).toBe('/reach');
    pressLink(screen.getByText('Charges'));
    expect(currentAddress().pathname).toBe('/charges');
  });
});

describe('the list of keys', () => {
  test('switches single letters off, and closes', () => {
    const store = demoStore();
    store.dispatch(keysToggled(true));
    renderOver(store, <KeysDialog />);
    expect(screen.getByText('walk the test orders')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Single letters are keys'));
    expect(store.getState().session.letterKeys).toBe(false);
    fireEvent.press(screen.getByText('Close'));
    expect(store.getState().session.keysShown).toBe(false);
  });
});

describe('a message', () => {
  test('offers the way back where there is one', () => {
    const store = demoStore();
    store.dispatch(rename('Prairies'));
    store.dispatch(messageShown({ text: 'Renamed.', undo: true }));
    renderOver(store, <Message />);
    expect(screen.getByText('Renamed.')).toBeTruthy();
    fireEvent.press(screen.getByText('Undo'));
    expect(west(store)).toBe('West');
  });
});
