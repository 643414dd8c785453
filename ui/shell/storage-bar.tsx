import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { newsRead, type SetAsideDocument } from '../state/storage-status.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { TextAction } from '../parts/text-action.tsx';
import { useStyles } from '../theme/styles.ts';
import type { Inks } from '../theme/tokens.ts';
import { takeNewVersion } from './offline.ts';

const styles = (inks: Inks) => ({
  bar: { paddingHorizontal: 20, paddingVertical: 8, borderBottomWidth: 1, borderBottomColor: inks.rubric },
  news: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: 8,
    paddingHorizontal: 20,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  said: { fontSize: 13, lineHeight: 18 },
  read: { alignSelf: 'flex-start', marginLeft: -4 } as const,
  text: { color: inks.rubric, fontSize: 13, lineHeight: 18 },
});

const told = (why: SetAsideDocument['why'], news: readonly SetAsideDocument[], what: string): string[] => {
  const names = news.filter((aside) => aside.why === why).map(({ document }) => document);
  return names.length > 0
    ? [t('{what}: {list}. It is under Settings, Data.', { what, list: names.join(', ') })]
    : [];
};

/** A new version of the program, and the one press that takes it. */
const NewVersion = () => {
  const style = useStyles(styles);
  const version = useAppSelector(({ storage }) => storage.version);
  if (!version) return null;
  return (
    <View style={style.news} role="status">
      <Text style={style.said}>
        {version === 'waiting'
          ? t('A new version of the program is here.')
          : t('Another tab has taken a new version of the program.')}
      </Text>
      <TextAction label={t('Load it now')} onPress={() => void takeNewVersion(version)} />
    </View>
  );
};

/** Says when work is not being kept, and what was set aside when the program opened. */
export const StorageBar = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const isOff = useAppSelector(({ storage }) => storage.state === 'off');
  const failed = useAppSelector(({ storage }) => (storage.state === 'failed' ? storage.reason : null));
  const news = useAppSelector(({ storage }) => storage.news);
  const lines = [
    ...(isOff
      ? [t('Nothing is kept on this device: save a file under Settings, Data, before you close.')]
      : []),
    ...(failed === null
      ? []
      : [
          t('Your changes are not being kept on this device ({failed}). It is being tried again.', {
            failed,
          }),
        ]),
    ...told('unreadable', news, t('What was kept could not be read and was set aside, not overwritten')),
    ...told(
      'other-tab',
      news,
      t('Another tab changed the shop at the same time; what it kept was set aside'),
    ),
  ];
  if (lines.length === 0) return <NewVersion />;
  return (
    <View style={style.bar} role="alert">
      <NewVersion />
      {lines.map((line) => (
        <Text key={line} style={style.text}>
          {line}
        </Text>
      ))}
      {news.length > 0 ? (
        <TextAction label={t('OK')} style={style.read} onPress={() => dispatch(newsRead())} />
      ) : null}
    </View>
  );
};
