import { lazy } from 'react';
import { BasketPage } from './basket-page.tsx';
import { Later } from '../../parts/later.tsx';
import { CheckoutPage } from '../../page/later-forms.ts';
import { GoodsPage } from './goods-page.tsx';
import { OrderPage } from './order-page.tsx';
import { ProductPage } from './product-page.tsx';

/** It quotes for the whole book: it comes when it is opened. */
const DeliveryPage = lazy(() => import('./delivery-page.tsx'));

const PAGES = {
  goods: GoodsPage,
  basket: BasketPage,
  checkout: CheckoutPage,
  order: OrderPage,
  product: ProductPage,
  delivery: DeliveryPage,
};

/** The customer's side of the shop, served from the draft. */
const Shopfront = ({ page }: { page: keyof typeof PAGES }) => {
  const Page = PAGES[page];
  return (
    <Later>
      <Page />
    </Later>
  );
};
export default Shopfront;
