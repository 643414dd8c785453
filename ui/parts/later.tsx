import { Suspense, type ReactNode } from 'react';
import { View } from 'react-native';

/** A part that is loaded when it is first opened. */
export const Later = ({ children }: { children: ReactNode }) => (
  <Suspense fallback={<View aria-busy />}>{children}</Suspense>
);
