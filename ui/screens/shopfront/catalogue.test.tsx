import { screen } from '@testing-library/react-native';
import { LANGUAGE_NAMES } from '../../../core/model/language.ts';
import { ownTexts } from '../../../core/words/customer/own-texts.ts';
import { loadCustomerWords } from '../../customer-words/use-customer-words.ts';
import { selectBook, selectCatalogue } from '../../state/selectors.ts';
import { added } from '../../state/basket.ts';
import { goTo } from '../../testing/router.ts';
import { checkoutLeft } from '../../state/checkout-draft.ts';
import { demoStore, renderOver } from '../../testing/store.tsx';
import Shopfront from './shopfront.tsx';

// Every text of the catalogue in brackets, as a language that nobody speaks.
jest.mock('../../../core/words/customer/english.ts', () => {
  const { ENGLISH } = jest.requireActual<{ ENGLISH: Record<string, string> }>(
    '../../../core/words/customer/english.ts',
  );
  return { ENGLISH: Object.fromEntries(Object.entries(ENGLISH).map(([id, text]) => [id, `⟦${text}⟧`])) };
});
jest.setTimeout(60_000);
beforeAll(loadCustomerWords);

type Node = typeof screen.root;

/** The texts that are drawn or read aloud, but for the merchant's own line above the shop. */
const textsIn = (node: Node | string): string[] => {
  if (typeof node === 'string') return [node];
  if (node.props.role === 'note') return [];
  const label: unknown = node.props['aria-label'] ?? node.props.accessibilityLabel;
  const isHost = typeof node.type === 'string';
  return [...(isHost && typeof label === 'string' ? [label] : []), ...node.children.flatMap(textsIn)];
};

const WHERE = {
  country: 'CA',
  name: 'Ines Varga',
  line1: '4 Tide Lane',
  line2: '',
  city: 'Antigonish',
  subdivision: 'CA-NS',
  postalCode: 'B2G 2L2',
};
const TYPED = { how: 'send', email: 'i@example.org', phone: '', ship: WHERE, billSame: true, bill: WHERE };

/** What a page says that is neither in the catalogue nor the merchant's own text nor a figure. */
const strayOn = async (page: 'goods' | 'basket' | 'checkout' | 'product' | 'order'): Promise<string[]> => {
  const store = demoStore();
  const [book, catalogue] = [selectBook(store.getState()), selectCatalogue(store.getState())];
  const sku = catalogue.goods[0]?.sku ?? '';
  store.dispatch(added(sku));
  store.dispatch(checkoutLeft({ values: TYPED, code: '' }));
  goTo({ pathname: `/shop/${page}`, params: { sku } });
  renderOver(store, <Shopfront page={page} />);
  await screen.findAllByText(/⟦/);
  if (page === 'checkout') await screen.findByText('⟦Sent to you⟧');
  const own = [
    ...ownTexts(book, catalogue).map(({ text }) => text),
    book.store.name,
    ...Object.values(LANGUAGE_NAMES),
    ...Object.values(WHERE),
  ]
    .filter((text) => text.length > 2)
    .sort((a, b) => b.length - a.length);
  const rest = (text: string): string => own.reduce((left, one) => left.replaceAll(one, ''), text);
  return [...new Set(textsIn(screen.root))].filter((text) => !text.includes('⟦') && !FIGURE.test(rest(text)));
};

/** Figures, prices, their units and marks, and the signs of icons are in no catalogue. */
const FIGURE = /^(?:[A-Z]{3}\u00A0)?(?:[\d.,\s×·–:%-]|kg|cm|mm|[gL])*$|^.$/u;

test.each(['goods', 'basket', 'checkout', 'product', 'order'] as const)(
  'the page %s says nothing that is not in the catalogue',
  async (page) => expect(await strayOn(page)).toEqual([]),
);
