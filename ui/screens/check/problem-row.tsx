import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Problem } from '../../../core/model/problem.ts';
import { askedValue } from '../../../core/repair/asked-value.ts';
import { Press } from '../../parts/press.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { edit } from '../../state/draft.ts';
import { previewOpened, undoMessage, testOrderChosen } from '../../state/session.ts';
import { selectCompiled, selectTestOrders } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, SERIF, TOUCH, type Inks } from '../../theme/tokens.ts';
import type { ProblemLine } from './problem-selectors.ts';
import { MendField } from './mend-field.tsx';
import { RepairList } from './repair-list.tsx';
import { useRepairs } from './use-repairs.ts';
import { Actions } from '../../parts/actions.tsx';

interface Props {
  line: ProblemLine;
  isOpen: boolean;
  onPress: () => void;
}

const styles = (inks: Inks) => ({
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { paddingVertical: 10, minHeight: TOUCH, justifyContent: 'center' } as const,
  text: { fontFamily: SERIF, fontSize: 15, lineHeight: 22 },
  accepted: { color: inks.quiet },
  note: note(inks),
  fresh: { ...note(inks), fontFamily: SANS_STRONG, color: inks.doubt },
  panel: { gap: 8, paddingBottom: 12 },
});

/** Asks why the problem is meant; without a note it is not accepted. */
const AcceptForm = ({ line, onDone }: { line: ProblemLine; onDone: () => void }) => {
  const dispatch = useAppDispatch();
  const [why, setWhy] = useState('');
  const accept = (): void => {
    const accepted = { ...line.acceptance, note: why.trim() };
    dispatch(edit('acceptProblem', { accepted }, t('Accept a problem')));
    dispatch(undoMessage(t('Accepted. It comes back when its rules change or it reaches more.')));
    onDone();
  };
  return (
    <View style={{ gap: 8 }}>
      <TextLine
        autoFocus
        label={t('Why it is intended')}
        placeholder={t('Larger orders are asked for by telephone')}
        value={why}
        onChange={setWhy}
        onSubmit={why.trim() === '' ? undefined : accept}
      />
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button mode="outlined" disabled={why.trim() === ''} onPress={accept}>
          {t('Accept it')}
        </Button>
        <TextAction label={t('Cancel')} onPress={onDone} />
      </View>
    </View>
  );
};

const ProblemActions = ({ line, onAccept }: { line: ProblemLine; onAccept: () => void }) => {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { problem, rules, accepted, acceptance } = line;
  const { example } = problem;
  const show = (): void => {
    if (!example) return;
    const testOrder = {
      name: t('Shows: {problem}', { problem: problem.text }).slice(0, 120),
      request: example,
      expects: [],
    };
    dispatch((act, getState) => {
      act(edit('addTestOrder', { testOrder }, t('New test order from a problem')));
      act(testOrderChosen(selectTestOrders(getState()).at(-1)?.id ?? null));
      act(previewOpened(true));
      act(undoMessage(t('The order is in the preview, kept as a test order.')));
    });
  };
  return (
    <Actions>
      {example ? <TextAction label={t('Show an order')} onPress={show} /> : null}
      {rules.map(({ name, link }, at) =>
        link ? (
          <TextAction
            key={`${name}-${at}`}
            label={t('To {name}', { name })}
            onPress={() => router.navigate(link)}
          />
        ) : null,
      )}
      {accepted ? (
        <TextAction
          label={t('Take the acceptance back')}
          onPress={() => dispatch(edit('takeBackAcceptance', acceptance, t('No longer accepted')))}
        />
      ) : (
        <TextAction label={t('This is intended: accept it')} onPress={onAccept} />
      )}
    </Actions>
  );
};

const Repairs = ({ problem }: { problem: Problem }) => {
  const style = useStyles(styles);
  const repairs = useRepairs(problem);
  if (repairs === null) return <Text style={style.note}>{t('Trying ways to fix it …')}</Text>;
  return <RepairList repairs={repairs} />;
};

/** One problem: what is wrong, for whom, the order that shows it, and the rules to open. */
export const ProblemRow = ({ line, isOpen, onPress }: Props) => {
  const style = useStyles(styles);
  const [accepting, setAccepting] = useState(false);
  const { problem, accepted, newSince } = line;
  const compiled = useAppSelector(selectCompiled);
  const asked = useMemo(
    () => (accepted ? null : askedValue({ problem, compiled })),
    [accepted, problem, compiled],
  );
  return (
    <View style={style.item} role="listitem">
      <Press role="button" aria-expanded={isOpen} onPress={onPress}>
        <View style={style.row}>
          <Text style={[style.text, accepted ? style.accepted : null]}>{problem.text}</Text>
          {newSince === null ? null : (
            <Text style={style.fresh}>{t('New since edition {newSince}', { newSince })}</Text>
          )}
          {problem.reach ? <Text style={style.note}>{problem.reach}</Text> : null}
          {accepted ? <Text style={style.note}>{t('Accepted: {note}', { note: accepted.note })}</Text> : null}
        </View>
      </Press>
      {asked && (isOpen || asked.now === undefined) ? <MendField asked={asked} /> : null}
      {isOpen ? (
        <View style={style.panel}>
          {accepting ? (
            <AcceptForm line={line} onDone={() => setAccepting(false)} />
          ) : (
            <>
              {accepted ? null : <Repairs problem={problem} />}
              <ProblemActions line={line} onAccept={() => setAccepting(true)} />
            </>
          )}
        </View>
      ) : null}
    </View>
  );
};
