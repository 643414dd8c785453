import { lazy } from 'react';
import { LaterPage } from '../ui/page/later-page.tsx';

const GoodsScreen = lazy(() => import('../ui/screens/goods/goods-screen.tsx'));

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

export default function Goods() {
  return (
    <LaterPage title="Products">
      <GoodsScreen />
    </LaterPage>
  );
}
