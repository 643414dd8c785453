import { lazy } from 'react';
import { LaterPage } from '../ui/page/later-page.tsx';

const CheckScreen = lazy(async () => ({
  default: (await import('../ui/screens/check/check-parts.ts')).CheckScreen,
}));

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

export default function DraftCheck() {
  return (
    <LaterPage title="Check">
      <CheckScreen />
    </LaterPage>
  );
}
