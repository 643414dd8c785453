import type { ReactNode } from 'react';
import { ScrollView } from 'react-native';
import { PAGE_WIDTH, SPACE } from '../theme/tokens.ts';
import { useWidth } from './use-width.ts';

const wide = {
  width: '100%',
  maxWidth: PAGE_WIDTH + 2 * SPACE.page,
  padding: SPACE.page,
  paddingTop: 24,
  paddingBottom: 120,
} as const;
const phone = { padding: 20, paddingTop: 12, paddingBottom: 48 } as const;

/** A page that scrolls, with the margins of its width. */
export const Page = ({ children }: { children: ReactNode }) => (
  <ScrollView contentContainerStyle={useWidth() === 'phone' ? phone : wide}>{children}</ScrollView>
);
