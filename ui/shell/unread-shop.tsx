import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { countFigure } from '../../core/words/figure.ts';
import { AsideList } from '../screens/settings/aside-list.tsx';
import { documentFaults } from '../state/storage/document-faults.ts';
import { deviceShelf } from '../state/storage/shelf.ts';
import { newsRead } from '../state/storage-status.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';

const styles = (inks: Inks) => ({
  page: { flex: 1, backgroundColor: inks.ground },
  inside: { maxWidth: 560, width: '100%', gap: 12, alignSelf: 'center', padding: 24 } as const,
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } as const,
  fault: { color: inks.rubric },
  note: note(inks),
});

const MOST_SAID = 20;

/** The faults of the documents that could not be read, once they have been looked at; null until then. */
const useFaults = (): string[] | null => {
  const news = useAppSelector(({ storage }) => storage.news);
  const [faults, setFaults] = useState<string[] | null>(null);
  useEffect(() => {
    const read = async (): Promise<void> => {
      const found: string[] = [];
      for (const { key, document, why } of news) {
        if (why !== 'unreadable' || (document !== 'draft' && document !== 'catalogue')) continue;
        found.push(...documentFaults(document, (await deviceShelf.getItem(key)) ?? ''));
      }
      setFaults(found);
    };
    void read();
  }, [news]);
  return faults;
};

/** Where the kept shop cannot be read: what is wrong with it, the way to have it as a file, and what else to go on with. */
const UnreadShop = ({ onGoOn }: { onGoOn: () => void }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const faults = useFaults();
  const goOn = (): void => {
    dispatch(newsRead());
    onGoOn();
  };
  return (
    <ScrollView style={style.page} role="main">
      <View style={style.inside} role="alert">
        <Text variant="titleLarge" role="heading" aria-level={1}>
          Your shop is kept, and cannot be read
        </Text>
        <Text>
          Nothing of it is lost or written over: a copy is set aside on this device. Save it as a file, so
          that it can be mended.
        </Text>
        {faults && faults.length > 0 ? (
          <View role="list" aria-label="What is wrong">
            {faults.slice(0, MOST_SAID).map((fault) => (
              <Text key={fault} role="listitem" style={style.fault}>
                {fault}
              </Text>
            ))}
            {faults.length > MOST_SAID ? (
              <Text style={style.note}>and {countFigure(faults.length - MOST_SAID, 'more fault')}</Text>
            ) : null}
          </View>
        ) : null}
        <AsideList />
        <Text style={style.note}>
          To go on from a shop file you saved earlier, go on with the made-up demo shop and open your file
          under Settings, Data. The copy stays there until you throw it away.
        </Text>
        <View style={style.row}>
          <Button mode="outlined" onPress={goOn}>
            Go on with the demo shop for now
          </Button>
        </View>
      </View>
    </ScrollView>
  );
};
export default UnreadShop;
