import { ShopRoute } from '../../ui/shell/shop-route.tsx';

export default function ShopOrder() {
  return <ShopRoute page="order" />;
}
