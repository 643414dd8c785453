import { lazy, Suspense, useMemo } from 'react';
import { ScrollView, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useWidth } from '../../parts/use-width.ts';
import { useWorldPlaces } from '../../places/places.ts';
import { PageHead } from '../../shell/page-head.tsx';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { PAGE_WIDTH, SPACE, type Inks } from '../../theme/tokens.ts';
import { CodeBox } from './code-box.tsx';
import { selectCountryReach, selectZoneMarks } from './reach-selectors.ts';
import { SellsToEditor } from './sells-to.tsx';
import { ContestList, ZoneList } from './zone-list.tsx';

const WorldMap = lazy(() => import('./world-map.tsx'));
const NONE: string[] = [];

const styles = (inks: Inks) => ({
  wide: {
    width: '100%',
    maxWidth: PAGE_WIDTH + 2 * SPACE.page,
    padding: SPACE.page,
    paddingTop: 24,
    paddingBottom: 120,
  } as const,
  phone: { padding: 20, paddingTop: 12, paddingBottom: 48 },
  map: { paddingTop: 12, minHeight: 160 },
  legend: note(inks),
  head: { paddingTop: 24, paddingBottom: 6, borderBottomWidth: 1, borderBottomColor: inks.ink },
});

const Section = ({ title }: { title: string }) => {
  const style = useStyles(styles);
  return (
    <View style={style.head}>
      <Text variant="titleMedium" role="heading" aria-level={2}>
        {title}
      </Text>
    </View>
  );
};

/** Where the shop sells and how far: the world by zones, where a code falls, the zones, and what is closed. */
export const ReachScreen = () => {
  const style = useStyles(styles);
  const isPhone = useWidth() === 'phone';
  const places = useWorldPlaces();
  const codes = useMemo(() => places?.countries.map(({ code }) => code) ?? NONE, [places]);
  const reach = useAppSelector((state) => selectCountryReach(state, codes));
  const marks = useAppSelector(selectZoneMarks);
  const closed = [...reach.values()].filter((one) => !one.sold).length;
  const bare = [...reach.values()].filter((one) => one.sold && one.withoutRate).length;
  const title = `The world by zones: ${closed} countries closed, ${bare} sold to without any rate`;
  return (
    <ScrollView contentContainerStyle={isPhone ? style.phone : style.wide}>
      <PageHead title="Reach" />
      <View style={style.map}>
        <Suspense fallback={<Text style={style.legend}>Drawing the map …</Text>}>
          {places ? <WorldMap reach={reach} marks={marks} title={title} byNumber={places.byNumber} /> : null}
        </Suspense>
      </View>
      <Text style={style.legend}>
        Hatched: closed. Struck: sold to, and nothing ships there. Striped: split among zones.
      </Text>
      <CodeBox places={places} />
      <Section title="Zones" />
      <ZoneList />
      <ContestList />
      <Section title="Sells to" />
      {places ? <SellsToEditor countries={places.countries} reach={reach} /> : null}
    </ScrollView>
  );
};
