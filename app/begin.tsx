import { Later } from '../ui/parts/later.tsx';
import { BeginScreen } from '../ui/page/later-forms.ts';

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

export default function Begin() {
  return (
    <Later>
      <BeginScreen />
    </Later>
  );
}
