import { ShopRoute } from '../../ui/shell/shop-route.tsx';

export default function ShopGoods() {
  return <ShopRoute page="goods" />;
}
