import { ShopRoute } from '../../ui/shell/shop-route.tsx';

export default function ShopBasket() {
  return <ShopRoute page="basket" />;
}
