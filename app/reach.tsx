import { ReachScreen } from '../ui/screens/reach/reach-screen.tsx';

export default function Reach() {
  return <ReachScreen />;
}
