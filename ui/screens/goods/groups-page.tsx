import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { groupPhrase } from '../../../core/words/group-phrase.ts';
import { Page } from '../../page/page.tsx';
import { Press } from '../../parts/press.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { PageHead } from '../../page/page-head.tsx';
import { edit } from '../../state/draft.ts';
import { selectBook, selectGroupSizes } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../../theme/tokens.ts';
import { GroupPanel } from './group-panel.tsx';
import { Opened } from '../../parts/opened.tsx';

const styles = (inks: Inks) => ({
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { paddingVertical: 10, minHeight: TOUCH },
  name: { fontFamily: SANS_STRONG },
  note: note(inks),
  none: { ...note(inks), paddingVertical: 16 },
});

/** The handling groups: goods that travel alike, what may carry them and where they go. */
export const GroupsPage = ({ open }: { open: string | null }) => {
  const style = useStyles(styles);
  const router = useRouter();
  const dispatch = useAppDispatch();
  const book = useAppSelector(selectBook);
  const sizes = useAppSelector(selectGroupSizes);
  const go = (group: string | null): void =>
    router.navigate({ pathname: '/goods', params: { panel: 'groups', ...(group ? { group } : {}) } });
  return (
    <Page>
      <PageHead
        title={t('Handling groups')}
        back={{ name: t('Products'), onPress: () => router.navigate('/goods') }}
      />
      {book.groups.length === 0 ? (
        <Text style={style.none}>
          {t(
            'Products that travel alike: live plants that go to some zones only, long products that one service carries.',
          )}
        </Text>
      ) : null}
      <View role="list" aria-label={t('Handling groups')}>
        {book.groups.map((group) => (
          <View style={style.item} role="listitem" key={group.id}>
            <Press
              role="button"
              aria-expanded={open === group.id}
              onPress={() => go(open === group.id ? null : group.id)}
            >
              <View style={style.row}>
                <Text style={style.name}>{group.name}</Text>
                <Text style={style.note}>
                  {t('{count, plural, one {# product} other {# products}}', {
                    count: sizes.get(group.id) ?? 0,
                  })}{' '}
                  · {groupPhrase(group, book)}
                </Text>
              </View>
            </Press>
            {open === group.id ? (
              <Opened>
                <GroupPanel group={group} goods={sizes.get(group.id) ?? 0} />
              </Opened>
            ) : null}
          </View>
        ))}
      </View>
      <TextAction
        label={t('Add a group')}
        style={{ alignSelf: 'flex-start', marginLeft: -4, marginTop: 4 }}
        onPress={() => dispatch(edit('addGroup', { name: t('New group') }, t('New handling group')))}
      />
    </Page>
  );
};
