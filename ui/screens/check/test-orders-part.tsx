import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { readTestOrdersFile, writeTestOrdersFile } from '../../../core/check/test-orders-file.ts';
import { countFigure } from '../../../core/words/figure.ts';
import { locatedSentence } from '../../../core/words/fault-sentence.ts';
import { fileName, openFile, saveFile } from '../../files/files.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { edit } from '../../state/draft.ts';
import { messageShown, testOrderChosen } from '../../state/session.ts';
import { selectTestOrders } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';
import { TestOrderRow } from './test-order-row.tsx';
import { selectTestOrderCounts, selectTestOrderGroups } from './test-orders-selectors.ts';
import { dayNow } from '../../time/now.ts';
import { Actions } from '../../parts/actions.tsx';

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingVertical: 12 },
  heading: { fontFamily: SANS_STRONG, fontSize: 13, lineHeight: 18, paddingTop: 16, paddingBottom: 4 },
  fault: { color: inks.rubric, paddingVertical: 2 },
});

const countsWords = ({ all, broken, empty }: ReturnType<typeof selectTestOrderCounts>): string => {
  if (all === 0)
    return 'A test order is a saved order with what it should give. Keep one from the preview, then point at what is right.';
  const kept = all - broken - empty;
  return [
    `${kept} of ${countFigure(all, 'test order')} as expected`,
    ...(broken > 0 ? [`${broken} not as expected`] : []),
    ...(empty > 0 ? [`${empty} that expect nothing`] : []),
  ].join(', ');
};

/** Test orders into a file and out of one; a file with faults changes nothing. */
const TestOrderFiles = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const testOrders = useAppSelector(selectTestOrders);
  const { store } = useBookParts('store');
  const [faults, setFaults] = useState<string[]>([]);
  const open = async (): Promise<void> => {
    const file = await openFile('json');
    if (!file) return;
    const read = file.text === null ? null : readTestOrdersFile(file.text);
    if (!read?.ok) {
      setFaults(read ? read.faults.map(locatedSentence) : [`${file.name} is larger than 200 MB.`]);
      return;
    }
    setFaults([]);
    dispatch(edit('takeTestOrders', { testOrders: read.value }, `Test orders: imported ${file.name}`));
    dispatch(
      messageShown({
        text: `Imported ${countFigure(read.value.length, 'test order')} from ${file.name}.`,
        undo: true,
      }),
    );
  };
  return (
    <>
      <Actions>
        <TextAction
          label="Save the test orders"
          disabled={testOrders.length === 0}
          onPress={() =>
            saveFile(fileName(store.name, 'test-orders', dayNow(store)), writeTestOrdersFile(testOrders))
          }
        />
        <TextAction label="Open test orders" onPress={() => void open()} />
      </Actions>
      {faults.length > 0 ? (
        <View role="alert">
          {faults.slice(0, 10).map((fault) => (
            <Text key={fault} style={style.fault}>
              {fault}
            </Text>
          ))}
          <Text style={style.note}>Nothing was imported.</Text>
        </View>
      ) : null}
    </>
  );
};

/** Every test order, kept or broken, under its heading. */
export const TestOrdersPart = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const groups = useAppSelector(selectTestOrderGroups);
  const counts = useAppSelector(selectTestOrderCounts);
  const [open, setOpen] = useState<string | null>(null);
  const press = (id: string): void => {
    dispatch(testOrderChosen(id));
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
              <TestOrderRow
                key={line.testOrder.id}
                line={line}
                isOpen={open === line.testOrder.id}
                onPress={() => press(line.testOrder.id)}
              />
            ))}
          </View>
        </View>
      ))}
      <TestOrderFiles />
    </View>
  );
};
