import { lazy } from 'react';
import { LaterPage } from '../ui/page/later-page.tsx';

const TodayScreen = lazy(() => import('../ui/screens/today/today-screen.tsx'));

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

export default function Today() {
  return (
    <LaterPage title="Today">
      <TodayScreen />
    </LaterPage>
  );
}
