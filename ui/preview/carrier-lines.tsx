import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { forgetAnswers } from '../carriers/reach-carriers.ts';
import { TextAction } from '../parts/text-action.tsx';
import { answersForgotten, questionKey, type AskedQuote } from '../state/answers.ts';
import { edit } from '../state/draft.ts';
import { selectTestOrder } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';

const styles = (inks: Inks) => ({
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, paddingTop: 6 } as const,
  pending: { ...note(inks), paddingVertical: 10, borderBottomWidth: 1, borderBottomColor: inks.hairline },
  note: { ...note(inks), flexShrink: 1 },
  action: { marginLeft: -4 },
});

/** The services that wait for their carrier. */
export const PendingRows = ({ pending }: Pick<AskedQuote, 'pending'>) => {
  const style = useStyles(styles);
  return pending.map(({ rateId, name, account }) => (
    <Text key={rateId} style={style.pending}>
      {t('{name}: asking {account} …', { name, account })}
    </Text>
  ));
};

/** Whether the test order keeps its carriers' answers, or they are asked each time. */
export const AnswersLine = ({ asked }: { asked: AskedQuote }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { testOrder } = useAppSelector(selectTestOrder);
  const { questions, answers } = asked;
  if (!testOrder || (!testOrder.answers && questions.length === 0)) return null;
  const set = (kept: AskedQuote['answers'] | undefined, label: string): void =>
    void dispatch(
      edit('setAnswers', { id: testOrder.id, answers: kept && [...kept] }, `${testOrder.name}: ${label}`),
    );
  if (testOrder.answers)
    return (
      <View style={style.line}>
        <Text style={style.note}>{t('The carriers’ answers are kept with this test order.')}</Text>
        <TextAction
          style={style.action}
          label={t('Ask again')}
          onPress={() => set(undefined, t('carriers asked again'))}
        />
      </View>
    );
  return (
    <View style={style.line}>
      <TextAction
        style={style.action}
        label={t('Keep the carriers’ answers')}
        disabled={answers.length < questions.length}
        onPress={() => set(answers, t('carriers’ answers kept'))}
      />
      <TextAction
        style={style.action}
        label={t('Ask again')}
        onPress={() =>
          void forgetAnswers().then(() => dispatch(answersForgotten(questions.map(questionKey))))
        }
      />
    </View>
  );
};
