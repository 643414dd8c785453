import { act, fireEvent, screen } from '@testing-library/react-native';
import { ruleLink } from '../../preview/rule-link.ts';
import { undone } from '../../state/draft.ts';
import { selectBook, selectCatalogue, selectPreview } from '../../state/selectors.ts';
import type { AppStore } from '../../state/store.ts';
import { goTo } from '../../testing/router.ts';
import { demoStore, renderOver } from '../../testing/store.tsx';
import GoodsScreen from './goods-screen.tsx';

jest.mock('../../parts/use-width.ts', () => ({ useWidth: () => 'wide' }));

const open = (params: Record<string, string>): AppStore => {
  goTo({ pathname: '/goods', params });
  const store = demoStore();
  renderOver(store, <GoodsScreen />);
  return store;
};
const groupOf = (store: AppStore, id: string) =>
  selectBook(store.getState()).groups.find((group) => group.id === id);
const goodsIn = (store: AppStore, id: string) =>
  selectCatalogue(store.getState()).goods.filter((good) => good.groupIds?.includes(id));
const withheld = (store: AppStore) => {
  const preview = selectPreview(store.getState());
  return preview?.ok ? preview.quote.withheld : [];
};

describe('the handling groups', () => {
  test('stand with what carries them, where they go and how many goods they have', () => {
    open({ panel: 'groups' });
    expect(screen.getByText(/^2 products · by Pallet; not delivered$/)).toBeTruthy();
    expect(
      screen.getByText(/only to Maritimes, Newfoundland and Labrador, Central, West, North/),
    ).toBeTruthy();
  });

  test('name the areas that deliver them and the points where they are collected', () => {
    const store = open({ panel: 'groups', group: 'soil' });
    fireEvent.press(screen.getByText('some areas'));
    fireEvent.press(screen.getByLabelText('Harbour ring'));
    fireEvent.press(screen.getByText('no point'));
    expect(groupOf(store, 'soil')).toMatchObject({ delivery: ['peninsula'], pickup: 'none' });
    expect(screen.getByText(/not shipped; delivered in Peninsula; not collected$/)).toBeTruthy();
  });

  test('keep goods from a service and from a zone, and the reason leads back to them', () => {
    const store = open({ panel: 'groups', group: 'pots' });
    fireEvent.press(screen.getByText('some services'));
    fireEvent.press(screen.getByLabelText('Parcel'));
    expect(groupOf(store, 'pots')?.shipping).toEqual(['seed-mail', 'express', 'pallet']);
    const refused = withheld(store).find(({ code }) => code === 'goods-not-allowed');
    expect(refused?.text).toBe('Pots are not carried by Parcel: Glazed pot, 26 cm.');
    expect(refused && ruleLink(selectBook(store.getState()), refused.from, refused)).toEqual({
      pathname: '/goods',
      params: { panel: 'groups', group: 'pots' },
    });
    fireEvent.press(screen.getByText('any service'));
    fireEvent.press(screen.getByText('all except some'));
    fireEvent.press(screen.getByLabelText('Maritimes'));
    expect(groupOf(store, 'pots')).toMatchObject({ shipping: 'any', neverZones: ['maritimes'] });
    expect(
      withheld(store).some(({ text }) => text === 'Pots do not go to Maritimes: Glazed pot, 26 cm.'),
    ).toBe(true);
    fireEvent.press(screen.getByText('only some'));
    expect(groupOf(store, 'pots')?.onlyZones).toHaveLength(8);
    expect(groupOf(store, 'pots')).not.toHaveProperty('neverZones');
    fireEvent.press(screen.getByText('every zone'));
    expect(groupOf(store, 'pots')).not.toHaveProperty('onlyZones');
  });

  test('are added and removed; the goods of one that is removed stay, in no group, and one undo brings both back', () => {
    const store = open({ panel: 'groups', group: 'pots' });
    const count = goodsIn(store, 'pots').length;
    fireEvent.press(screen.getByText('Add a group'));
    expect(groupOf(store, 'new-group')).toMatchObject({ shipping: 'any' });
    fireEvent.press(screen.getByText('Remove the group'));
    expect(groupOf(store, 'pots')).toBeUndefined();
    expect(goodsIn(store, 'pots')).toEqual([]);
    act(() => void store.dispatch(undone()));
    expect(goodsIn(store, 'pots')).toHaveLength(count);
  });

  test('take one good, or many at once', () => {
    const store = open({});
    for (const name of ['Lupin seeds', 'Foxglove seeds'])
      fireEvent.press(screen.getByLabelText(`Choose ${name}`), { nativeEvent: {} });
    fireEvent.press(screen.getByText('Group'));
    fireEvent.press(screen.getByText('Soil'));
    expect(goodsIn(store, 'soil').map(({ sku }) => sku)).toEqual([
      'seed-lupin',
      'seed-foxglove',
      'soil-20',
      'grit-10',
    ]);
    fireEvent.press(screen.getByText('Group'));
    fireEvent.press(screen.getByText('no group'));
    expect(goodsIn(store, 'soil')).toHaveLength(2);
  });
});
