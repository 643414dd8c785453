import { lazy } from 'react';
import { LaterPage } from '../ui/page/later-page.tsx';

const SettingsScreen = lazy(() => import('../ui/screens/settings/settings-screen.tsx'));

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

export default function Settings() {
  return (
    <LaterPage title="Settings">
      <SettingsScreen />
    </LaterPage>
  );
}
