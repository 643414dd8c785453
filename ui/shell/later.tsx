import { Suspense, type ReactNode } from 'react';
import { View } from 'react-native';
import { Page } from '../parts/page.tsx';
import { PageHead } from './page-head.tsx';

/** A part that is loaded when it is first opened. */
export const Later = ({ children }: { children: ReactNode }) => (
  <Suspense fallback={<View aria-busy />}>{children}</Suspense>
);

/** A page that is loaded when it is first opened; its heading stands at once. */
export const LaterPage = ({ title, children }: { title: string; children: ReactNode }) => (
  <Suspense
    fallback={
      <Page>
        <View aria-busy>
          <PageHead title={title} />
        </View>
      </Page>
    }
  >
    {children}
  </Suspense>
);
