import { lazy } from 'react';
import { Later } from '../ui/shell/later.tsx';

const ProofScreen = lazy(() => import('../ui/screens/proof/proof-screen.tsx'));

export default function Proof() {
  return (
    <Later>
      <ProofScreen />
    </Later>
  );
}
