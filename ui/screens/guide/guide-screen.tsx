import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { spokenLocale, t } from '../../../core/translate/translate.ts';
import { MarkedText } from '../../parts/marked-text.tsx';
import { Page } from '../../page/page.tsx';
import { Tabs } from '../../parts/tabs.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { PageHead } from '../../page/page-head.tsx';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { GUIDE_PAGES, isGuidePage, type GuidePage } from '../../page/guide-pages.ts';

const styles = (inks: Inks) => ({
  text: { maxWidth: 640, paddingTop: 16, paddingBottom: 32 },
  note: note(inks),
});

const OPTIONS = GUIDE_PAGES.map(({ id, title }) => ({ value: id, label: title }));

/** A page in the program's language where it has one, else in English. */
const fetchPage = async (page: GuidePage): Promise<Response> => {
  const english = `/guide/${page}.md`;
  if (spokenLocale() === 'en') return fetch(english);
  const own = await fetch(`/guide/${spokenLocale()}/${page}.md`);
  return own.ok ? own : fetch(english);
};

const load = async (page: GuidePage): Promise<string> => {
  const answer = await fetchPage(page);
  if (!answer.ok) throw new Error(`the guide page ${page} is not there: ${answer.status}`);
  return answer.text();
};

type Read = { page: GuidePage; text: string | null };

/** A page of the guide; where it cannot be read, that, and a way to try again. */
const GuideText = ({ page }: { page: GuidePage }) => {
  const style = useStyles(styles);
  const [tries, setTries] = useState(0);
  const [read, setRead] = useState<Read | null>(null);
  useEffect(() => {
    let wanted = true;
    const set = (text: string | null): void => {
      if (wanted) setRead({ page, text });
    };
    load(page).then(set, () => set(null));
    return () => {
      wanted = false;
    };
  }, [page, tries]);
  if (read?.page !== page) return null;
  if (read.text !== null) return <MarkedText text={read.text} />;
  return (
    <View role="alert">
      <Text style={style.note}>{t('This page could not be read.')}</Text>
      <TextAction label={t('Try again')} onPress={() => setTries(tries + 1)} />
    </View>
  );
};

/** How the program is used, page by page; it ships with the program and opens without a network. */
const GuideScreen = () => {
  const style = useStyles(styles);
  const router = useRouter();
  const isPhone = useWidth() === 'phone';
  const { page } = useLocalSearchParams<{ page?: string }>();
  const chosen = isGuidePage(page) ? page : 'start';
  return (
    <Page>
      <PageHead title={t('Guide')} />
      <Tabs
        label={t('Guide')}
        bleed={isPhone ? 20 : 0}
        value={chosen}
        options={OPTIONS}
        onChange={(next) => router.navigate({ pathname: '/guide', params: { page: next } })}
      />
      <View style={style.text}>
        <GuideText page={chosen} />
      </View>
    </Page>
  );
};
export default GuideScreen;
