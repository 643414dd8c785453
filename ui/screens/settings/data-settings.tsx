import { useState } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { shopDifference, type Difference } from '../../../core/formats/shop-difference.ts';
import {
  readShopFile,
  writeBookFile,
  writeGoodsFile,
  writeShopFile,
  type Shop,
  type ShopFile,
} from '../../../core/formats/shop-file.ts';
import type { Fault } from '../../../core/model/fault.ts';
import { locatedSentence } from '../../../core/words/fault-sentence.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { demoShop } from '../../state/demo.ts';
import { edit } from '../../state/draft.ts';
import { told } from '../../state/session.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';
import { fileName, openFile, saveFile } from '../../parts/files.ts';

const styles = (inks: Inks) => ({
  all: { gap: 10, paddingTop: 8 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginLeft: -4 } as const,
  note: note(inks),
  review: {
    borderWidth: 1,
    borderColor: inks.hairline,
    borderTopWidth: 3,
    borderTopColor: inks.ink,
    backgroundColor: inks.raised,
    padding: 16,
    gap: 8,
  },
  fault: { color: inks.rubric },
  what: { fontFamily: SANS_STRONG },
  buttons: { flexDirection: 'row', gap: 8, flexWrap: 'wrap' } as const,
});

/** A file that was opened: what it holds, or what is wrong with it. */
type Opened = { name: string; file: ShopFile; differences: Difference[] } | { name: string; faults: Fault[] };

const HOLDS: Record<ShopFile['holds'], string> = {
  shop: 'a whole shop',
  book: 'a book; the goods and trials here stay',
  goods: 'goods; the book and trials here stay',
};
const MOST_NAMED = 6;

const namesText = (names: readonly string[]): string =>
  names.length > MOST_NAMED
    ? `${names.slice(0, MOST_NAMED).join(', ')} and ${names.length - MOST_NAMED} more`
    : names.join(', ');

const DifferenceLine = ({ difference }: { difference: Difference }) => {
  const style = useStyles(styles);
  const { what, added, removed, changed } = difference;
  const parts = [
    ...(added.length > 0 ? [`${added.length} new: ${namesText(added)}`] : []),
    ...(removed.length > 0 ? [`${removed.length} gone: ${namesText(removed)}`] : []),
    ...(changed.length > 0 ? [`${changed.length} changed: ${namesText(changed)}`] : []),
  ];
  return (
    <Text>
      <Text style={style.what}>{what}</Text> {parts.join('; ')}
    </Text>
  );
};

const Refused = ({
  name,
  faults,
  onDone,
}: {
  name: string;
  faults: readonly Fault[];
  onDone: () => void;
}) => {
  const style = useStyles(styles);
  return (
    <View style={style.review} role="alert">
      <Text variant="titleMedium">{name} was not taken; nothing here has changed</Text>
      {faults.slice(0, 20).map((fault, at) => (
        <Text key={`${fault.path}-${at}`} style={style.fault}>
          {locatedSentence(fault)}
        </Text>
      ))}
      {faults.length > 20 ? <Text style={style.note}>{faults.length - 20} more faults.</Text> : null}
      <View style={style.buttons}>
        <Button mode="outlined" onPress={onDone}>
          Close
        </Button>
      </View>
    </View>
  );
};

const Review = ({
  opened,
  onTake,
  onLeave,
}: {
  opened: Extract<Opened, { file: ShopFile }>;
  onTake: () => void;
  onLeave: () => void;
}) => {
  const style = useStyles(styles);
  const { name, file, differences } = opened;
  return (
    <View style={style.review} role="region" aria-label="Review of the file">
      <Text variant="titleMedium">
        {name} holds {HOLDS[file.holds]}
      </Text>
      {file.savedAt ? (
        <Text style={style.note}>Saved {file.savedAt.slice(0, 16).replace('T', ', ')}</Text>
      ) : null}
      {differences.length === 0 ? <Text>It is the same as what is here.</Text> : null}
      {differences.map((difference) => (
        <DifferenceLine key={difference.what} difference={difference} />
      ))}
      <View style={style.buttons}>
        <Button mode="outlined" disabled={differences.length === 0} onPress={onTake}>
          Take it into the draft
        </Button>
        <Button mode="text" onPress={onLeave}>
          Leave it
        </Button>
      </View>
    </View>
  );
};

/** The shop's data out of the browser and into it: as a whole or in parts, reviewed before it is taken. */
export const DataSettings = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const shop: Shop = useAppSelector((state) => state.draft.workbook);
  const orders = useAppSelector((state) => state.orders);
  const [opened, setOpened] = useState<Opened | null>(null);
  const save = (what: string, text: (now: string) => string): void => {
    const now = new Date().toISOString();
    saveFile(fileName(shop.book.store.name, what, now.slice(0, 10)), text(now));
  };
  const open = async (): Promise<void> => {
    const chosen = await openFile('json');
    if (!chosen) return;
    if (chosen.text === null) {
      dispatch(told({ text: `${chosen.name} is larger than 200 MB and was not read.`, undo: false }));
      return;
    }
    const read = readShopFile(chosen.text, shop);
    setOpened(
      read.ok
        ? { name: chosen.name, file: read.value, differences: shopDifference(shop, read.value.shop) }
        : { name: chosen.name, faults: read.faults },
    );
  };
  const take = (next: Shop, label: string): void => {
    dispatch(edit('replaceShop', next, label));
    dispatch(told({ text: `${label}.`, undo: true }));
    setOpened(null);
  };
  return (
    <View style={style.all}>
      <Text style={style.note}>
        Everything is kept in this browser alone. A file carries it elsewhere, and is your copy.
      </Text>
      <View style={style.actions}>
        <TextAction
          label="Save the whole shop"
          onPress={() => save('shop', (now) => writeShopFile(shop, orders, now))}
        />
        <TextAction label="Save the book" onPress={() => save('book', () => writeBookFile(shop.book))} />
        <TextAction
          label="Save the goods"
          onPress={() => save('goods', () => writeGoodsFile(shop.catalogue))}
        />
        <TextAction label="Open a file" onPress={() => void open()} />
        <TextAction label="Back to the demo" onPress={() => take(demoShop(), 'Back to the demo shop')} />
      </View>
      {opened && 'faults' in opened ? (
        <Refused name={opened.name} faults={opened.faults} onDone={() => setOpened(null)} />
      ) : null}
      {opened && 'file' in opened ? (
        <Review
          opened={opened}
          onTake={() => take(opened.file.shop, `Took ${opened.name}`)}
          onLeave={() => setOpened(null)}
        />
      ) : null}
    </View>
  );
};
