import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { readTestOrdersFile, writeTestOrdersFile } from '../../../core/check/test-orders-file.ts';
import { locatedSentence } from '../../../core/words/fault-sentence.ts';
import { fileName, openFile, saveFile } from '../../files/files.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { edit } from '../../state/draft.ts';
import { undoMessage, testOrderChosen } from '../../state/session.ts';
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
    return t(
      'A test order is a saved order with what it should give. Keep one from the preview, then point at what is right.',
    );
  const kept = all - broken - empty;
  return [
    t('{kept} of {all, plural, one {# test order} other {# test orders}} as expected', { kept, all }),
    ...(broken > 0 ? [t('{broken} not as expected', { broken })] : []),
    ...(empty > 0 ? [t('{empty} that expect nothing', { empty })] : []),
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
      setFaults(
        read ? read.faults.map(locatedSentence) : [t('{file} is larger than 200 MB.', { file: file.name })],
      );
      return;
    }
    setFaults([]);
    dispatch(
      edit(
        'takeTestOrders',
        { testOrders: read.value },
        t('Test orders: imported {file}', { file: file.name }),
      ),
    );
    dispatch(
      undoMessage(
        t('Imported {count, plural, one {# test order} other {# test orders}} from {file}.', {
          count: read.value.length,
          file: file.name,
        }),
      ),
    );
  };
  return (
    <>
      <Actions>
        <TextAction
          label={t('Save the test orders')}
          disabled={testOrders.length === 0}
          onPress={() =>
            saveFile(fileName(store.name, 'test-orders', dayNow(store)), writeTestOrdersFile(testOrders))
          }
        />
        <TextAction label={t('Open test orders')} onPress={() => void open()} />
      </Actions>
      {faults.length > 0 ? (
        <View role="alert">
          {faults.slice(0, 10).map((fault) => (
            <Text key={fault} style={style.fault}>
              {fault}
            </Text>
          ))}
          <Text style={style.note}>{t('Nothing was imported.')}</Text>
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
          <View role="list" aria-label={name === '' ? t('Test orders') : t('Test orders: {name}', { name })}>
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
