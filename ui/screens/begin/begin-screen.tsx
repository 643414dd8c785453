import { useRouter } from 'expo-router';
import { useState, type ComponentType } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { emptyBook, firstBook, firstCatalogue, firstTestOrders } from '../../../core/begin/first-book.ts';
import { Page } from '../../page/page.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { PageHead } from '../../page/page-head.tsx';
import { edit } from '../../state/draft.ts';
import { undoMessage, testOrderChosen } from '../../state/session.ts';
import { useAppDispatch } from '../../state/store.ts';
import type { Workbook } from '../../state/workbook.ts';
import { useStyles } from '../../theme/styles.ts';
import { useGazetteer } from '../../places/use-gazetteer.ts';
import {
  answersOf,
  askedSteps,
  emptyValues,
  faultsOfStep,
  QUESTIONS,
  type BeginValues,
} from './begin-form.ts';
import { beginStyles, type StepProps } from './begin-parts.tsx';
import { BeginReview } from './begin-review.tsx';
import { StepFrom } from './step-from.tsx';
import { StepGoods } from './step-goods.tsx';
import { StepHours } from './step-hours.tsx';
import { StepNear } from './step-near.tsx';
import { StepReach } from './step-reach.tsx';
import { momentNow } from '../../time/now.ts';

const STEPS: readonly ComponentType<StepProps>[] = [StepFrom, StepReach, StepGoods, StepHours, StepNear];

/** Takes a new shop into the draft, which one step of undo takes back. */
const useTake = () => {
  const dispatch = useAppDispatch();
  const router = useRouter();
  return (shop: Workbook, path: '/charges' | '/reach'): void => {
    dispatch(edit('replaceShop', shop, t('New shop {store}', { store: shop.book.store.name })));
    dispatch(testOrderChosen(null));
    dispatch(undoMessage(t('The draft is now {store}.', { store: shop.book.store.name })));
    router.navigate(path);
  };
};

/** Moves through the questions: forward only past sound answers. */
const useSteps = () => {
  const [at, setAt] = useState(0);
  const form = useForm<BeginValues>({
    defaultValues: emptyValues(Intl.DateTimeFormat().resolvedOptions().timeZone),
  });
  const values = useWatch({ control: form.control }) as BeginValues;
  // Where the codes of the country lie, for the point of the first location.
  useGazetteer(values.country);
  const asked = askedSteps(values);
  const step = asked[at] ?? QUESTIONS.length;
  const next = (): void => {
    const faults = Object.entries(faultsOfStep(form.getValues(), step));
    form.clearErrors();
    for (const [path, message] of faults) form.setError(path as keyof BeginValues, { message });
    if (faults.length === 0) setAt(at + 1);
  };
  return { step, at, count: asked.length, form, values, next, back: () => setAt(at - 1) };
};

/** Where a person is in the questions, and that nothing is lost by answering. */
const Progress = ({ at, count }: { at: number; count: number }) => {
  const style = useStyles(beginStyles);
  const where =
    at < count
      ? t('Question {number} of {all}.', { number: at + 1, all: count })
      : t('Everything here can be changed later.');
  const kept = t('What is here now stays until you use the new book, and comes back with undo.');
  return <Text style={style.note}>{`${where} ${kept}`}</Text>;
};

/** Up to five questions that make a sound first book, reviewed before it is used. */
const BeginScreen = () => {
  const style = useStyles(beginStyles);
  const take = useTake();
  const { step, at, count, form, values, next, back } = useSteps();
  const Step = STEPS[step];
  const skip = (): void =>
    take(
      {
        book: emptyBook({
          name: t('New shop'),
          currency: values.currency || 'EUR',
          timeZone: values.timeZone,
        }),
        catalogue: { format: 'emporos-catalogue', version: 1, goods: [] },
        testOrders: [],
      },
      '/reach',
    );
  const use = (): void => {
    const answers = answersOf(values);
    const testOrders = firstTestOrders(answers, momentNow());
    take(
      { book: firstBook(answers), catalogue: firstCatalogue(answers), testOrders },
      values.ships ? '/charges' : '/reach',
    );
  };
  return (
    <Page>
      <PageHead title={QUESTIONS[step] ?? t('Your first book')} />
      <View style={{ gap: 16, paddingTop: 12 }}>
        <Progress at={at} count={count} />
        {Step ? (
          <Step form={form} values={values} onSubmit={next} />
        ) : (
          <BeginReview book={firstBook(answersOf(values))} />
        )}
        <View style={[style.row, { alignItems: 'center' }]}>
          {Step ? (
            <Button mode="contained" onPress={next}>
              {at + 1 < count ? t('Next') : t('Look at the book')}
            </Button>
          ) : (
            <Button mode="contained" onPress={use}>
              {t('Use this book')}
            </Button>
          )}
          {at > 0 ? (
            <Button mode="text" onPress={back}>
              {t('Back')}
            </Button>
          ) : null}
          {at === 0 ? <TextAction label={t('Skip the questions: an empty book')} onPress={skip} /> : null}
        </View>
      </View>
    </Page>
  );
};
export default BeginScreen;
