import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { readTrialsFile, writeTrialsFile } from '../../../core/proof/trials-file.ts';
import { countFigure } from '../../../core/words/figure.ts';
import { locatedSentence } from '../../../core/words/fault-sentence.ts';
import { fileName, openFile, saveFile } from '../../parts/files.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { edit } from '../../state/draft.ts';
import { messageShown, trialChosen } from '../../state/session.ts';
import { selectBook, selectTrials } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';
import { TrialRow } from './trial-row.tsx';
import { selectTrialCounts, selectTrialGroups } from './trials-selectors.ts';

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingVertical: 12 },
  heading: { fontFamily: SANS_STRONG, fontSize: 13, lineHeight: 18, paddingTop: 16, paddingBottom: 4 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginLeft: -4 } as const,
  fault: { color: inks.rubric, paddingVertical: 2 },
});

const countsWords = ({ all, broken, empty }: ReturnType<typeof selectTrialCounts>): string => {
  if (all === 0)
    return 'A test order is a saved order with what it should give. Keep one from the preview, then point at what is right.';
  const kept = all - broken - empty;
  return [
    `${kept} of ${countFigure(all, 'test order')} kept`,
    ...(broken > 0 ? [`${broken} broken`] : []),
    ...(empty > 0 ? [`${empty} that expect nothing`] : []),
  ].join(', ');
};

/** Trials into a file and out of one; a file with faults changes nothing. */
const TrialFiles = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const trials = useAppSelector(selectTrials);
  const { store } = useAppSelector(selectBook);
  const [faults, setFaults] = useState<string[]>([]);
  const open = async (): Promise<void> => {
    const file = await openFile('json');
    if (!file) return;
    const read = file.text === null ? null : readTrialsFile(file.text);
    if (!read?.ok) {
      setFaults(read ? read.faults.map(locatedSentence) : [`${file.name} is larger than 200 MB.`]);
      return;
    }
    setFaults([]);
    dispatch(edit('takeTrials', { trials: read.value }, `Test orders: took ${file.name}`));
    dispatch(
      messageShown({ text: `Took ${countFigure(read.value.length, 'test order')} of ${file.name}.`, undo: true }),
    );
  };
  return (
    <>
      <View style={style.actions}>
        <TextAction
          label="Save the test orders"
          disabled={trials.length === 0}
          onPress={() =>
            saveFile(
              fileName(store.name, 'test-orders', new Date().toISOString().slice(0, 10)),
              writeTrialsFile(trials),
            )
          }
        />
        <TextAction label="Open test orders" onPress={() => void open()} />
      </View>
      {faults.length > 0 ? (
        <View role="alert">
          {faults.slice(0, 10).map((fault) => (
            <Text key={fault} style={style.fault}>
              {fault}
            </Text>
          ))}
          <Text style={style.note}>Nothing was taken.</Text>
        </View>
      ) : null}
    </>
  );
};

/** Every trial, kept or broken, under its heading. */
export const TrialsPart = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const groups = useAppSelector(selectTrialGroups);
  const counts = useAppSelector(selectTrialCounts);
  const [open, setOpen] = useState<string | null>(null);
  const press = (id: string): void => {
    dispatch(trialChosen(id));
    setOpen(open === id ? null : id);
  };
  return (
    <View>
      <Text style={style.note} aria-live="polite">
        {countsWords(counts)}.
      </Text>
      {groups.map(({ name, lines }) => (
        <View key={name}>
          {name === '' ? null : (
            <Text style={style.heading} role="heading" aria-level={2}>
              {name}
            </Text>
          )}
          <View role="list" aria-label={name === '' ? 'Test orders' : `Test orders: ${name}`}>
            {lines.map((line) => (
              <TrialRow
                key={line.trial.id}
                line={line}
                isOpen={open === line.trial.id}
                onPress={() => press(line.trial.id)}
              />
            ))}
          </View>
        </View>
      ))}
      <TrialFiles />
    </View>
  );
};
