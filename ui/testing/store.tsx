import { answersAtOnce } from '../../carriers/stand-ins.ts';
import type { CarrierAnswer } from '../../core/model/carrier.ts';
import { carrierQuestions } from '../../core/quote/questions.ts';
import { loadWorldPlaces } from '../places/places.ts';
import { loadGazetteer } from '../places/use-gazetteer.ts';
import { answersCame, questionKey } from '../state/answers.ts';
import { selectCompiled, selectTestOrders } from '../state/selectors.ts';
import type { ReactElement } from 'react';
import { PaperProvider } from 'react-native-paper';
import { Provider } from 'react-redux';
import { render } from '@testing-library/react-native';
import { demoShop } from '../state/demo-shop.ts';
import { initialDraft } from '../state/draft.ts';
import { makeStore, type AppStore } from '../state/store.ts';
import { paperTheme } from '../theme/theme.ts';

/** A store that starts from the demo shop, its carriers having answered for every test order. */
export const demoStore = (): AppStore => {
  const store = makeStore({ draft: initialDraft(demoShop()) });
  const compiled = selectCompiled(store.getState());
  const questions = selectTestOrders(store.getState()).flatMap(({ request }) =>
    carrierQuestions(compiled, request),
  );
  const answers = answersAtOnce(questions);
  store.dispatch(
    answersCame(questions.map((question, at) => [questionKey(question), answers[at] as CarrierAnswer])),
  );
  return store;
};

/** Has the lists of places in hand before a screen asks for them, so that it does not change once it is drawn. */
export const placesAtHand = async (): Promise<void> => {
  await Promise.all([loadWorldPlaces(), loadGazetteer('CA')]);
};

/** Renders a piece of the interface as the program would, over a store. */
export const renderOver = (store: AppStore, element: ReactElement) =>
  render(
    <Provider store={store}>
      <PaperProvider theme={paperTheme}>{element}</PaperProvider>
    </Provider>,
  );
