import { ChargesScreen } from '../ui/screens/charges/charges-screen.tsx';

export default function Charges() {
  return <ChargesScreen />;
}
