import { ShopRoute } from '../../ui/shell/shop-route.tsx';

export { PageFault as ErrorBoundary } from '../../ui/shell/page-fault.tsx';

export default function ShopDelivery() {
  return <ShopRoute page="delivery" />;
}
