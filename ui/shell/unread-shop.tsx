import { lazy, useCallback, useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import type { ShopFile } from '../../core/formats/shop-file.ts';
import { AsideList } from '../screens/settings/aside-list.tsx';
import type { Opened } from '../screens/settings/opened-file.tsx';
import { Later } from '../parts/later.tsx';
import { edit } from '../state/draft.ts';
import { newsRead, type SetAsideDocument } from '../state/storage-status.ts';
import { useAppDispatch, useAppStore } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';

const styles = (inks: Inks) => ({
  page: { flex: 1, backgroundColor: inks.ground },
  inside: { maxWidth: 560, width: '100%', gap: 12, alignSelf: 'center', padding: 24 } as const,
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } as const,
  note: note(inks),
});

const opening = () => import('../screens/settings/opened-file.tsx');
const OpenedFile = lazy(opening);

const isRules = ({ document }: SetAsideDocument): boolean => document === 'draft';

/** What is set aside of the shop, opened for repair: what could not be read now, or what the person opens. */
const useOpened = () => {
  const store = useAppStore();
  const [opened, setOpened] = useState<{ key: string; what: Opened } | null>(null);
  const open = useCallback(
    async (aside: SetAsideDocument): Promise<void> => {
      const { openedAside } = await opening();
      setOpened({ key: aside.key, what: await openedAside(store.getState(), aside) });
    },
    [store],
  );
  useEffect(() => {
    const rules = store.getState().storage.news.find((one) => isRules(one) && one.why === 'unreadable');
    if (rules) void open(rules);
  }, [store, open]);
  return { opened, open, close: () => setOpened(null) };
};

/** Where the kept shop cannot be read: what is wrong with it and its repair, and what else to go on with. */
const UnreadShop = ({ onGoOn }: { onGoOn: () => void }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { opened, open, close } = useOpened();
  const goOn = (): void => {
    dispatch(newsRead());
    onGoOn();
  };
  const take = ({ shop }: ShopFile): void => {
    dispatch(edit('replaceShop', shop, t('The repaired shop')));
    goOn();
  };
  return (
    <ScrollView style={style.page} role="main">
      <View style={style.inside} role="alert">
        <Text variant="titleLarge" role="heading" aria-level={1}>
          {t('Your shop is kept, and cannot be read')}
        </Text>
        <Text>
          {t('Nothing of it is lost or written over: a copy is set aside on this device. Repair it here.')}
        </Text>
        {opened ? (
          <Later>
            <OpenedFile takesAtOnce key={opened.key} opened={opened.what} onTake={take} onClose={close} />
          </Later>
        ) : null}
        <AsideList opens={isRules} onOpen={(aside) => void open(aside)} />
        <Text style={style.note}>
          {t(
            'Or go on with the made-up demo shop: what was set aside, and shop files you saved earlier, can be opened under Settings, Data. The copy stays there until you throw it away.',
          )}
        </Text>
        <View style={style.row}>
          <Button mode="outlined" onPress={goOn}>
            {t('Go on with the demo shop for now')}
          </Button>
        </View>
      </View>
    </ScrollView>
  );
};
export default UnreadShop;
