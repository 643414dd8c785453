import { fireEvent, screen } from '@testing-library/react-native';
import Shopfront from '../screens/shopfront/shopfront.tsx';
import { loadCustomerWords } from '../customer-words/use-customer-words.ts';
import { added } from '../state/basket.ts';
import type { AppStore } from '../state/store.ts';
import { goTo } from './router.ts';
import { demoStore, renderOver } from './store.tsx';

/** Writes into a field of the shopfront. */
export const fill = (label: string, text: string): void =>
  fireEvent.changeText(screen.getByLabelText(label), text);

/** Finds something in a chooser by what is typed, and takes it. */
export const choose = async (label: string, text: string, name: string): Promise<void> => {
  fireEvent(await screen.findByLabelText(label), 'focus');
  fireEvent.changeText(screen.getByLabelText(label), text);
  fireEvent.press(await screen.findByLabelText(name));
};

/** Fills in who orders and where it goes. */
export const typeAddress = async (town = 'Antigonish', code = 'B2G 2L2'): Promise<void> => {
  fill('Full name', 'Ines Varga');
  fill('E-mail', 'ines@example.org');
  fill('Street and number', '4 Tide Lane');
  fill('Town', town);
  fill('Postal code', code);
  await choose('Province or territory', 'nova', 'Nova Scotia');
};

/** The checkout with one of each of some goods in the basket. */
export const openCheckout = async (skus: readonly string[]): Promise<AppStore> => {
  await loadCustomerWords();
  const store = demoStore();
  for (const sku of skus) store.dispatch(added(sku));
  goTo('/shop/checkout');
  renderOver(store, <Shopfront page="checkout" />);
  await screen.findByText('Checkout');
  return store;
};
