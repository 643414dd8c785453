import { ChargesScreen } from '../ui/screens/charges/charges-screen.tsx';

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

export default function Charges() {
  return <ChargesScreen />;
}
