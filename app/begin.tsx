import { lazy } from 'react';
import { Later } from '../ui/shell/later.tsx';

const BeginScreen = lazy(() => import('../ui/screens/begin/begin-screen.tsx'));

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

export default function Begin() {
  return (
    <Later>
      <BeginScreen />
    </Later>
  );
}
