import { Later } from '../ui/shell/later.tsx';
import { BeginScreen } from '../ui/shell/later-forms.ts';

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

export default function Begin() {
  return (
    <Later>
      <BeginScreen />
    </Later>
  );
}
