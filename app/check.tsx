import { lazy } from 'react';
import { Later } from '../ui/shell/later.tsx';

const ProofScreen = lazy(async () => ({
  default: (await import('../ui/screens/proof/proof-parts.ts')).ProofScreen,
}));

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

export default function Proof() {
  return (
    <Later>
      <ProofScreen />
    </Later>
  );
}
