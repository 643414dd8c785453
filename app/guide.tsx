import { lazy } from 'react';
import { LaterPage } from '../ui/page/later-page.tsx';

const GuideScreen = lazy(() => import('../ui/screens/guide/guide-screen.tsx'));

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

export default function Guide() {
  return (
    <LaterPage title="Guide">
      <GuideScreen />
    </LaterPage>
  );
}
