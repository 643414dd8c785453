import { Suspense, type ReactNode } from 'react';
import { View } from 'react-native';
import { Page } from './page.tsx';
import { PageHead } from './page-head.tsx';

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
