import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { nextEdition } from '../../../core/formats/edition.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { editionPublished } from '../../state/editions.ts';
import { selectBook, selectCatalogue } from '../../state/selectors.ts';
import { selectEditions } from '../../state/served.ts';
import { messageShown } from '../../state/session.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { selectIsChecked, selectObstacles } from './publish-selectors.ts';
import { momentNow } from '../../time/now.ts';

const styles = (inks: Inks) => ({
  all: { gap: 12, paddingTop: 12, maxWidth: 520 },
  obstacle: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 } as const,
  fault: { color: inks.rubric, flexShrink: 1 },
  note: note(inks),
});

interface Standing {
  isRead: boolean;
  isChecked: boolean;
  changes: number;
  isNoted: boolean;
  isReasoned: boolean;
}

/** Why the draft cannot be published yet, and what would help; null where it can. */
const waitsFor = ({ isRead, isChecked, changes, isNoted, isReasoned }: Standing): string | null => {
  if (!isRead) return t('The editions and orders of this shop are still being read.');
  if (!isChecked)
    return t('The draft is being checked: its test orders are run, and it is searched for problems.');
  if (changes === 0) return t('The draft is the live edition; there is nothing to publish.');
  const lacking = [
    ...(isNoted ? [] : [t('a note for this edition')]),
    ...(isReasoned ? [] : [t('a reason for publishing anyway')]),
  ];
  return lacking.length === 0 ? null : t('To publish, write {list}.', { list: lacking.join(t(' and ')) });
};

/** What stands against publishing, each with the way to it. */
const Obstacles = () => {
  const style = useStyles(styles);
  const router = useRouter();
  const obstacles = useAppSelector(selectObstacles);
  return (
    <>
      {obstacles.map(({ text, part }) => (
        <View style={style.obstacle} key={part} role="alert">
          <Text style={style.fault}>{text}</Text>
          <TextAction
            label={part === 'testOrders' ? t('Go to test orders') : t('Go to problems')}
            onPress={() =>
              router.navigate({ pathname: '/check', params: part === 'testOrders' ? {} : { part } })
            }
          />
        </View>
      ))}
    </>
  );
};

/** The note of the next edition, and where something stands against it, a reason for publishing anyway. */
export const PublishForm = ({ changes }: { changes: number }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const editions = useAppSelector(selectEditions);
  const book = useAppSelector(selectBook);
  const catalogue = useAppSelector(selectCatalogue);
  const obstacles = useAppSelector(selectObstacles);
  const isChecked = useAppSelector(selectIsChecked);
  const [words, setWords] = useState('');
  const [why, setWhy] = useState('');
  // The editions are read before the orders are: a number must not be given twice.
  const isRead = useAppSelector(({ storage }) => storage.ordersRead);
  const waits = waitsFor({
    isRead,
    isChecked,
    changes,
    isNoted: words.trim() !== '',
    isReasoned: obstacles.length === 0 || why.trim() !== '',
  });
  const publish = (): void => {
    const edition = nextEdition(editions, book, catalogue, {
      publishedAt: momentNow(),
      note: words.trim(),
      ...(obstacles.length > 0 ? { despite: why.trim() } : {}),
    });
    dispatch(editionPublished(edition));
    dispatch(messageShown({ text: t('Edition {number} is live.', { number: edition.number }), undo: false }));
    setWords('');
    setWhy('');
  };
  return (
    <View style={style.all}>
      <Obstacles />
      <TextLine
        label={t('A note for this edition')}
        placeholder={t('What changes, and why')}
        value={words}
        onChange={setWords}
      />
      {obstacles.length > 0 ? (
        <TextLine label={t('Reason for publishing anyway')} value={why} onChange={setWhy} />
      ) : null}
      <Button
        mode="contained"
        style={{ alignSelf: 'flex-start' }}
        disabled={waits !== null}
        onPress={publish}
      >
        {t('Publish the draft')}
      </Button>
      <Text style={style.note} aria-live="polite">
        {waits ?? t('Customers get it from then on. You can go back at any time.')}
      </Text>
    </View>
  );
};
