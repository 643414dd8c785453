import { ShopRoute } from '../../ui/shell/shop-route.tsx';

export { PageFault as ErrorBoundary } from '../../ui/shell/page-fault.tsx';

export default function ShopProduct() {
  return <ShopRoute page="product" />;
}
