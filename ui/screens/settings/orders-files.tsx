import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { placeless } from '../../../core/formats/list-format.ts';
import { readOrders } from '../../../core/formats/orders.ts';
import { orderCells, ordersSheet, readOrderRows } from '../../../core/formats/orders-csv.ts';
import type { Fault } from '../../../core/model/fault.ts';
import type { PastOrder } from '../../../core/model/order.ts';
import { takeOrders, type OrdersTaken } from '../../../core/order/take-orders.ts';
import { locatedSentence } from '../../../core/words/fault-sentence.ts';
import { fileName, openFile, saveFile, type FileKind } from '../../files/files.ts';
import { chooseRows } from '../../list-import/read-rows.ts';
import { useChosenList } from '../../list-import/use-chosen-list.ts';
import { SaveList } from '../../parts/save-list.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { ordersTaken } from '../../state/orders.ts';
import { useAppDispatch } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { dayNow, momentNow } from '../../time/now.ts';
import { Actions } from '../../parts/actions.tsx';

const MOST_SHOWN = 6;

const styles = (inks: Inks) => ({
  actions: { paddingTop: 8 },
  said: note(inks),
  fault: { ...note(inks), color: inks.rubric },
});

interface Read {
  orders: readonly PastOrder[];
  stateless?: ReadonlySet<string>;
  faults: readonly Fault[];
}

/** What came of a file's orders, in a sentence or a few. */
const takenWords = ({ added, updated, renumbered, same }: OrdersTaken, name: string): string => {
  const some = (numbers: readonly string[]): string =>
    numbers.length > MOST_SHOWN
      ? t('{list} and {count} more', {
          list: numbers.slice(0, MOST_SHOWN).join(', '),
          count: numbers.length - MOST_SHOWN,
        })
      : numbers.join(', ');
  return [
    added > 0
      ? t('Imported {added, plural, one {# order} other {# orders}} from {name}.', { added, name })
      : '',
    updated.length > 0 ? t('Updated: {numbers}.', { numbers: some(updated) }) : '',
    renumbered.length > 0
      ? t('Other orders already have these numbers, so the imported ones got new numbers: {numbers}.', {
          numbers: some(renumbered),
        })
      : '',
    same > 0 ? t('{same, plural, one {# order} other {# orders}} already here, unchanged.', { same }) : '',
  ]
    .filter(Boolean)
    .join(' ');
};

const readJson = (text: string): Read | string => {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return t('it is not JSON.');
  }
  const read = readOrders(value);
  return read.ok ? { orders: read.value, faults: [] } : { orders: [], faults: read.faults };
};

/** A file that was chosen and what it gave, or why nothing. */
interface Chosen {
  name: string;
  read: Read | string;
}

const chosenRows = async (): Promise<Chosen | null> => {
  const chosen = await chooseRows();
  if (!chosen?.ok) return chosen && { name: chosen.name, read: chosen.why };
  const read = readOrderRows(chosen.rows, placeless('.'));
  return { name: chosen.name, read: { ...read, faults: [...chosen.faults, ...read.faults] } };
};

const chosenJson = async (): Promise<Chosen | null> => {
  const file = await openFile('json');
  return file && { name: file.name, read: file.text === null ? t('it is too large.') : readJson(file.text) };
};

/** What was wrong with a file, the first of it. */
const Faults = ({ faults }: { faults: readonly string[] }) => {
  const style = useStyles(styles);
  return (
    <>
      {faults.slice(0, MOST_SHOWN).map((text) => (
        <Text key={text} style={style.fault} role="alert">
          {text}
        </Text>
      ))}
      {faults.length > MOST_SHOWN ? (
        <Text style={style.fault}>
          {t('{count} more are not shown.', { count: faults.length - MOST_SHOWN })}
        </Text>
      ) : null}
    </>
  );
};

/** The orders out as a file, and orders of a file beside those that are there. */
export const OrdersFiles = ({
  orders,
  onFile,
}: {
  orders: readonly PastOrder[];
  /** A file whose columns have other names is looked at on a page of its own. */
  onFile: (file: File) => void;
}) => {
  const choosePast = useChosenList(onFile);
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { store } = useBookParts('store');
  const [said, setSaid] = useState<string | null>(null);
  const [faults, setFaults] = useState<readonly string[]>([]);
  const day = dayNow(store);
  const name = (kind: FileKind): string => fileName(store.name, 'orders', day, kind);
  const take = (chosen: Chosen | null): void => {
    if (!chosen) return;
    const { name: file, read } = chosen;
    if (typeof read === 'string') {
      setSaid(null);
      setFaults([t('{file} was not read: {why}', { file, why: read })]);
      return;
    }
    const taken = takeOrders(orders, read.orders, momentNow(), read.stateless);
    if (taken.orders.length > 0) dispatch(ordersTaken(taken.orders));
    setSaid(read.orders.length > 0 ? takenWords(taken, file) : null);
    setFaults(read.faults.map(locatedSentence));
  };
  return (
    <View>
      <Actions style={style.actions}>
        <SaveList name={name} sheet={t('Orders')} columns={ordersSheet} items={orders} cells={orderCells} />
        <TextAction
          label={t('Save as JSON')}
          disabled={orders.length === 0}
          onPress={() => saveFile(name('json'), `${JSON.stringify(orders, null, 1)}\n`)}
        />
        <TextAction
          label={t('Import orders from a CSV or spreadsheet')}
          onPress={() => void chosenRows().then(take)}
        />
        <TextAction label={t('Import past orders from elsewhere')} onPress={choosePast} />
        <TextAction label={t('Import orders from JSON')} onPress={() => void chosenJson().then(take)} />
      </Actions>
      {said === null ? null : (
        <Text style={style.said} role="status">
          {said}
        </Text>
      )}
      <Faults faults={faults} />
    </View>
  );
};
