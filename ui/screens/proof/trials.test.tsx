import { act, fireEvent, screen } from '@testing-library/react-native';
import { readTrialsFile, writeTrialsFile } from '../../../core/proof/trials-file.ts';
import { Slip } from '../../slip/slip.tsx';
import { edit, undone } from '../../state/draft.ts';
import { choiceToggled, withheldToggled } from '../../state/session.ts';
import { selectTrials } from '../../state/selectors.ts';
import type { AppStore } from '../../state/store.ts';
import { demoStore, renderOver, placesAtHand } from '../../testing/store.tsx';
import { keepProved } from '../../workers/keep-proved.ts';
import { makeProver } from '../../workers/prover.ts';
import ProofScreen from './proof-screen.tsx';

jest.mock('expo-router', () => jest.requireActual<object>('../../testing/router.ts'));
jest.mock('../../parts/use-width.ts', () => ({ useWidth: () => 'wide' }));

beforeAll(placesAtHand);

const mockOpen = jest.fn<Promise<{ name: string; text: string | null } | null>, []>();
jest.mock('../../parts/files.ts', () => ({
  ...jest.requireActual<object>('../../parts/files.ts'),
  openFile: () => mockOpen(),
}));

let stop: (() => void) | null = null;
afterEach(() => stop?.());

const proved = (): AppStore => {
  const store = demoStore();
  stop = keepProved(store, makeProver());
  return store;
};
const settle = (): Promise<void> => act(() => jest.advanceTimersByTimeAsync(300));
const dearer = (store: AppStore): void =>
  void store.dispatch(edit('setStore', { changes: { handling: { amount: 100, per: 'order' } } }, 'dearer'));

describe('the test orders', () => {
  test('are run on every edit, and a broken one says what was expected and what came', async () => {
    const store = proved();
    renderOver(store, <ProofScreen />);
    await settle();
    expect(screen.getByText('20 of 20 test orders kept.')).toBeTruthy();
    act(() => dearer(store));
    await settle();
    expect(screen.getByText('11 of 20 test orders kept, 9 broken.')).toBeTruthy();
    expect(screen.getByText('Expected: Parcel to Maritimes costs 17.30. Came: costs 18.30.')).toBeTruthy();
    act(() => void store.dispatch(undone()));
    await settle();
    expect(screen.getByText('20 of 20 test orders kept.')).toBeTruthy();
  });

  test('are pinned, put under a heading, moved and removed', async () => {
    const store = proved();
    renderOver(store, <ProofScreen />);
    await settle();
    fireEvent.press(screen.getByText('Seeds to Lyon'));
    expect(store.getState().session.trialId).toBe('seeds-lyon');
    fireEvent.press(screen.getByLabelText('Pinned: first under its heading'));
    const heading = screen.getByLabelText('Stands under the heading');
    fireEvent(heading, 'focus');
    fireEvent.changeText(heading, 'Far away');
    fireEvent(heading, 'blur');
    expect(selectTrials(store.getState()).find(({ id }) => id === 'seeds-lyon')).toMatchObject({
      pinned: true,
      group: 'Far away',
    });
    expect(screen.getByLabelText('Test orders: Far away')).toBeTruthy();
    fireEvent.press(screen.getByText('Remove the test order'));
    expect(selectTrials(store.getState())).toHaveLength(19);
  });

  test('come out of a file in place of those with their ids; a faulty file changes nothing', async () => {
    const store = proved();
    renderOver(store, <ProofScreen />);
    const [first] = selectTrials(store.getState());
    if (!first) throw new Error('no test order');
    mockOpen.mockResolvedValue({ name: 't.json', text: '[{"id": 1}]' });
    fireEvent.press(screen.getByText('Open test orders'));
    await settle();
    expect(screen.getByText('Nothing was taken.')).toBeTruthy();
    const taken = [
      { ...first, name: 'Renamed' },
      { ...first, id: 'new-one' },
    ];
    mockOpen.mockResolvedValue({ name: 't.json', text: writeTrialsFile(taken) });
    fireEvent.press(screen.getByText('Open test orders'));
    await settle();
    expect(selectTrials(store.getState()).map(({ name }) => name)).toContain('Renamed');
    expect(selectTrials(store.getState())).toHaveLength(21);
  });
});

test('a file of test orders is read as it was written', () => {
  const trials = selectTrials(demoStore().getState());
  expect(readTrialsFile(writeTrialsFile(trials))).toEqual({ ok: true, value: trials });
});

describe('what a test order expects', () => {
  const expectsOf = (store: AppStore) => selectTrials(store.getState())[0]?.expects;

  test('is set by pointing at the preview, choice by choice', () => {
    const store = demoStore();
    store.dispatch(choiceToggled('express-maritimes:two-day'));
    renderOver(store, <Slip />);
    expect(screen.getAllByText('as it should be')).toHaveLength(1);
    fireEvent.press(screen.getByLabelText('Express, two days: this is right'));
    expect(expectsOf(store)).toContainEqual({
      kind: 'offered',
      choiceId: 'express-maritimes:two-day',
      charge: 3_367,
    });
    expect(screen.getAllByText('as it should be')).toHaveLength(2);
    act(() => dearer(store));
    expect(screen.getAllByText('not as it should be')).toHaveLength(2);
    fireEvent.press(screen.getByLabelText('Express, two days: this is right'));
    expect(expectsOf(store)).toContainEqual({
      kind: 'offered',
      choiceId: 'express-maritimes:two-day',
      charge: 3_467,
    });
    fireEvent.press(screen.getByLabelText('Express, two days: expect nothing of it'));
    expect(screen.getAllByText('not as it should be')).toHaveLength(1);
  });

  test('may be that a choice is rightly withheld, or that all of the preview is right', () => {
    const store = demoStore();
    store.dispatch(withheldToggled());
    renderOver(store, <Slip />);
    fireEvent.press(screen.getByLabelText('Seed mail: this is right'));
    expect(expectsOf(store)).toContainEqual({
      kind: 'withheld',
      id: 'seed-mail-maritimes',
      code: 'above-limit',
    });
    fireEvent.press(screen.getByText('All of this is right'));
    expect(expectsOf(store)).toHaveLength(11);
    expect(screen.queryByText('All of this is right')).toBeNull();
    expect(expectsOf(store)?.[0]).toEqual({ kind: 'cheapest', choiceId: 'parcel-maritimes' });
  });
});
