import { useRouter } from 'expo-router';
import { lazy, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { writeBookFile, writeGoodsFile, writeShopFile, type Shop } from '../../../core/formats/shop-file.ts';
import { dayTimeText } from '../../parts/dates.ts';
import { fileName, openFile, saveFile } from '../../files/files.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { loadDemoShop } from '../../state/demo.ts';
import { edit } from '../../state/draft.ts';
import { editionsTaken } from '../../state/editions.ts';
import { ordersTaken } from '../../state/orders.ts';
import { messageShown, undoMessage } from '../../state/session.ts';
import { savedNow, type SetAsideDocument } from '../../state/storage-status.ts';
import { useAppDispatch, useAppSelector, useAppStore, type AppStore } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { Later } from '../../parts/later.tsx';
import { AsideList } from './aside-list.tsx';
import type { Opened } from './opened-file.tsx';
import { usePersistence } from './use-persistence.ts';
import { dayNow, epochNow, momentNow } from '../../time/now.ts';
import { Actions } from '../../parts/actions.tsx';

const styles = (inks: Inks) => ({
  all: { gap: 12, paddingTop: 16 },
  note: note(inks),
});

/** Opening, repairing and reviewing files comes when it is asked for. */
const opening = () => import('./opened-file.tsx');
const OpenedFile = lazy(opening);

/** Hands the whole shop to the person as a file, and notes that it was saved. */
export const saveShop = ({ getState, dispatch }: Pick<AppStore, 'getState' | 'dispatch'>): void => {
  const { draft, orders, editions } = getState();
  const now = momentNow();
  const { store } = draft.workbook.book;
  saveFile(fileName(store.name, 'shop', dayNow(store)), writeShopFile(draft.workbook, orders, now, editions));
  dispatch(savedNow(now));
};

/** Where the data is kept, and how well. */
const Kept = () => {
  const style = useStyles(styles);
  const savedAt = useAppSelector((state) => state.storage.savedAt);
  const persistence = usePersistence();
  return (
    <View>
      <Text style={style.note}>
        {t('Everything is kept in this browser alone. A file carries it elsewhere, and is your copy.')}
      </Text>
      <Text style={style.note}>
        {savedAt === null
          ? t('The whole shop was not saved as a file yet.')
          : t('The whole shop was last saved as a file on {dayTimeText}.', {
              dayTimeText: dayTimeText(savedAt),
            })}
      </Text>
      {persistence === null ? null : (
        <Text style={style.note}>
          {persistence
            ? t('The browser has promised not to clear it by itself.')
            : t('The browser may clear it by itself when the disk is nearly full: save a file now and then.')}
        </Text>
      )}
    </View>
  );
};

/** A file that was opened, or a document that was set aside, to be looked through before it is imported. */
const useOpenedFile = () => {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const [opened, setOpened] = useState<{ at: number; what: Opened } | null>(null);
  const show = (what: Opened): void => setOpened({ at: epochNow(), what });
  const open = async (): Promise<void> => {
    const chosen = await openFile('json');
    if (!chosen) return;
    const { name, text } = chosen;
    if (text === null) {
      dispatch(
        messageShown({ text: t('{name} is larger than 200 MB and was not read.', { name }), undo: false }),
      );
      return;
    }
    show((await opening()).openedText(store.getState(), name, text));
  };
  const openAside = async (aside: SetAsideDocument): Promise<void> =>
    show(await (await opening()).openedAside(store.getState(), aside));
  return { opened, open, openAside, close: () => setOpened(null) };
};

/** The shop's data out of the browser and into it: as a whole or in parts, reviewed before it is taken. */
const DataSettings = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const router = useRouter();
  const shop: Shop = useAppSelector((state) => state.draft.workbook);
  const ordersRead = useAppSelector((state) => state.storage.ordersRead);
  const { opened, open, openAside, close } = useOpenedFile();
  const save = (what: string, text: string): void => {
    saveFile(fileName(shop.book.store.name, what, dayNow(shop.book.store)), text);
  };
  const take = (next: Shop, label: string): void => {
    dispatch(edit('replaceShop', next, label));
    dispatch(undoMessage(`${label}.`));
    close();
  };
  return (
    <View style={style.all}>
      <Kept />
      <Actions>
        <TextAction label={t('Save the whole shop')} disabled={!ordersRead} onPress={() => saveShop(store)} />
        <TextAction label={t('Save the book')} onPress={() => save('book', writeBookFile(shop.book))} />
        <TextAction
          label={t('Save the products')}
          onPress={() => save('goods', writeGoodsFile(shop.catalogue))}
        />
        <TextAction label={t('Open a file')} disabled={!ordersRead} onPress={() => void open()} />
      </Actions>
      {ordersRead ? null : (
        <Text style={style.note}>{t('The orders are still being read from this device.')}</Text>
      )}
      {opened ? (
        <Later>
          <OpenedFile
            key={opened.at}
            opened={opened.what}
            onTake={({ orders, editions, shop: next }, name) => {
              dispatch(ordersTaken(orders));
              dispatch(editionsTaken(editions));
              take(next, t('Imported {name}', { name }));
            }}
            onClose={close}
          />
        </Later>
      ) : null}
      <AsideList onOpen={(aside) => void openAside(aside)} />
      <Actions>
        <TextAction label={t('Start a shop of your own')} onPress={() => router.navigate('/begin')} />
        <TextAction
          label={t('Back to the demo')}
          onPress={() => void loadDemoShop().then((demo) => take(demo, t('Back to the demo shop')))}
        />
      </Actions>
    </View>
  );
};
export default DataSettings;
