import { lazy } from 'react';
import { LaterPage } from '../ui/page/later-page.tsx';

const ReachScreen = lazy(() => import('../ui/screens/reach/reach-screen.tsx'));

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

export default function Reach() {
  return (
    <LaterPage title="Reach">
      <ReachScreen />
    </LaterPage>
  );
}
