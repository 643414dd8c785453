import { ShopRoute } from '../../ui/shell/shop-route.tsx';

export default function ShopCheckout() {
  return <ShopRoute page="checkout" />;
}
