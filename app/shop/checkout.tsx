import { ShopRoute } from '../../ui/shell/shop-route.tsx';

export { PageFault as ErrorBoundary } from '../../ui/shell/page-fault.tsx';

export default function ShopCheckout() {
  return <ShopRoute page="checkout" />;
}
