import { ShopRoute } from '../../ui/shell/shop-route.tsx';

export default function ShopProduct() {
  return <ShopRoute page="product" />;
}
