import { Slot } from 'expo-router';
import { Root } from '../ui/shell/root.tsx';
import { Shell } from '../ui/shell/shell.tsx';

export default function Layout() {
  return (
    <Root>
      <Shell>
        <Slot />
      </Shell>
    </Root>
  );
}
