import type { ReactElement } from 'react';
import { PaperProvider } from 'react-native-paper';
import { Provider } from 'react-redux';
import { render } from '@testing-library/react-native';
import { demoShop } from '../state/demo.ts';
import { initialDraft } from '../state/draft.ts';
import { makeStore, type AppStore } from '../state/store.ts';
import { paperTheme } from '../theme/theme.ts';

/** A store that starts from the demo shop. */
export const demoStore = (): AppStore => makeStore({ draft: initialDraft(demoShop()) });

/** Renders a piece of the interface as the program would, over a store. */
export const renderOver = (store: AppStore, element: ReactElement) =>
  render(
    <Provider store={store}>
      <PaperProvider theme={paperTheme}>{element}</PaperProvider>
    </Provider>,
  );
