import { screen } from '@testing-library/react-native';
import { edit, visitBegan } from '../state/draft.ts';
import { choiceToggled, testOrderChosen } from '../state/session.ts';
import { selectBook, selectPreview, selectPreviewBefore } from '../state/selectors.ts';
import { demoStore, renderOver, placesAtHand } from '../testing/store.tsx';
import { dateSpan, momentText } from '../parts/dates.ts';
import { ruleLink } from './rule-link.ts';
import { Preview } from './preview.tsx';
import { previewChanges } from './preview-changes.ts';

jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: jest.fn() }) }));

beforeAll(placesAtHand);

const off = (active: boolean) => edit('setRate', { id: 'parcel-maritimes', changes: { active } }, 'Parcel');

describe('what a change did to a preview', () => {
  test('a choice that went is lost, one that came is gained, a charge that moved has a before', () => {
    const store = demoStore();
    const changes = () =>
      previewChanges(selectPreviewBefore(store.getState()), selectPreview(store.getState()));
    expect(changes()).toMatchObject({ lost: [], gained: new Set() });
    store.dispatch(visitBegan());
    store.dispatch(off(false));
    expect(changes().lost.map((choice) => choice.name)).toEqual(['Parcel']);
    store.dispatch(visitBegan());
    store.dispatch(off(true));
    expect([...changes().gained]).toEqual(['parcel-maritimes']);
    store.dispatch(visitBegan());
    store.dispatch(edit('setRate', { id: 'parcel-maritimes', changes: { handling: undefined } }, 'Parcel'));
    expect(changes().before.get('parcel-maritimes')).toBe(1_730);
  });
});

describe('the preview', () => {
  test('shows each choice with its working when opened', () => {
    const store = demoStore();
    store.dispatch(choiceToggled('parcel-maritimes'));
    renderOver(store, <Preview />);
    expect(screen.getByText('Weight 6.4 kg, from 5 kg: 15.50')).toBeTruthy();
    expect(
      screen.getByText('Thu 26 to Mon 30 Nov · and 2.43 tax · Spend 14.00 more for free Parcel'),
    ).toBeTruthy();
  });

  test('says why there is no choice, every reason open', () => {
    const store = demoStore();
    store.dispatch(testOrderChosen('heather-alaska'));
    renderOver(store, <Preview />);
    expect(
      screen.getByText('This customer is in Everywhere else and has no choice: the order cannot be placed.'),
    ).toBeTruthy();
    expect(screen.getByText('Parcel is deliberately not offered in Everywhere else.')).toBeTruthy();
  });

  test('names a good that the catalogue lost, and charges nothing for it', () => {
    const store = demoStore();
    store.dispatch(
      edit('setRequest', { id: 'two-pots', changes: { lines: [{ sku: 'gone', quantity: 1 }] } }, 'basket'),
    );
    renderOver(store, <Preview />);
    expect(screen.getByText(/^lines\[0\]\.sku: The catalogue has no “gone”/)).toBeTruthy();
  });
});

describe('the way to a rule', () => {
  const book = selectBook(demoStore().getState());
  test.each([
    [{ kind: 'rate', id: 'parcel-west' } as const, undefined, { zone: 'west', service: 'parcel' }],
    [
      { kind: 'zone', id: 'north' } as const,
      { id: 'parcel', code: 'no-rate' } as const,
      { zone: 'north', service: 'parcel' },
    ],
    [{ kind: 'zone', id: 'north' } as const, undefined, { zone: 'north', panel: 'zone' }],
  ])('%p leads to its page', (from, withheld, params) => {
    expect(ruleLink(book, from, withheld)).toEqual({ pathname: '/charges', params });
  });
  test('a place that is not sold to leads to the reach', () => {
    const withheld = { id: 'parcel', code: 'not-sold-there' } as const;
    expect(ruleLink(book, { kind: 'store', id: 'store' }, withheld)).toEqual({
      pathname: '/reach',
      params: {},
    });
  });
  test('the store leads to the settings', () => {
    expect(ruleLink(book, { kind: 'store', id: 'store' })).toEqual({ pathname: '/settings', params: {} });
  });
  test('a good leads to its page, and a weight that is not known to the goods that lack one', () => {
    const good = { pathname: '/goods', params: { good: 'pot-26' } };
    expect(ruleLink(book, { kind: 'good', id: 'pot-26' })).toEqual(good);
    const unknown = { id: 'parcel-maritimes', code: 'weight-unknown' } as const;
    const lacking = { pathname: '/goods', params: { only: 'missing' } };
    expect(ruleLink(book, { kind: 'rate', id: 'parcel-maritimes' }, unknown)).toEqual(lacking);
  });
  test('what has no page leads nowhere', () => {
    expect(ruleLink(book, { kind: 'rate', id: 'gone' })).toBeNull();
  });
});

test('days are written as people say them', () => {
  expect(dateSpan('2026-11-26', '2026-11-30')).toBe('Thu 26 to Mon 30 Nov');
  expect(dateSpan('2026-11-26', '2026-12-01')).toBe('Thu 26 Nov to Tue 1 Dec');
  expect(dateSpan('2026-11-26', '2026-11-26')).toBe('Thu 26 Nov');
  expect(momentText('2026-11-24', '10:15')).toBe('Tue 24 Nov, 10:15');
});
