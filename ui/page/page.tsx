import type { ReactNode } from 'react';
import { ScrollView } from 'react-native';
import { PAGE_WIDTH, SPACE } from '../theme/tokens.ts';
import { useWidth } from '../parts/use-width.ts';

const wide = {
  width: '100%',
  padding: SPACE.page,
  paddingTop: 24,
  paddingBottom: 120,
} as const;
const phone = { padding: 20, paddingTop: 12, paddingBottom: 48 } as const;

const measure = { maxWidth: PAGE_WIDTH + 2 * SPACE.page } as const;

interface Props {
  children: ReactNode;
  /** Whether it takes all the width there is, as a table does, and not only what is read well. */
  full?: boolean;
}

/** A page that scrolls, with the margins of its width. */
export const Page = ({ children, full = false }: Props) => (
  <ScrollView contentContainerStyle={useWidth() === 'phone' ? phone : [wide, full ? null : measure]}>
    {children}
  </ScrollView>
);
