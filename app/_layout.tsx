import { Navigator, Slot } from 'expo-router';
import { pageRouter } from '../ui/page/page-router.ts';
import { Root } from '../ui/shell/root.tsx';
import { Shell } from '../ui/shell/shell.tsx';

export default function Layout() {
  return (
    <Root>
      <Shell>
        <Navigator router={pageRouter}>
          <Slot />
        </Navigator>
      </Shell>
    </Root>
  );
}
