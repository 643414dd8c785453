import { lazy } from 'react';
import { Later } from '../ui/shell/later.tsx';

const ReachScreen = lazy(() => import('../ui/screens/reach/reach-screen.tsx'));

export default function Reach() {
  return (
    <Later>
      <ReachScreen />
    </Later>
  );
}
