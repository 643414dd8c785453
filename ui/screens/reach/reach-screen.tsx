import { lazy, Suspense, useMemo } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { Page } from '../../parts/page.tsx';
import { Section } from '../../parts/section.tsx';
import { useWorldPlaces } from '../../places/places.ts';
import { PageHead } from '../../shell/page-head.tsx';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { CodeBox } from './code-box.tsx';
import {
  selectCountryReach,
  selectSplitCountries,
  selectSubdivisionReach,
  selectZoneMarks,
} from './reach-selectors.ts';
import { SellsToEditor } from './sells-to.tsx';
import { ContestList, ZoneList } from './zone-list.tsx';

const WorldMap = lazy(() => import('./world-map.tsx'));
const NONE: string[] = [];

const styles = (inks: Inks) => ({
  map: { paddingTop: 12, minHeight: 160 },
  legend: note(inks),
});

/** Where the shop sells and how far: the world by zones, where a code falls, the zones, and what is closed. */
export const ReachScreen = () => {
  const style = useStyles(styles);
  const places = useWorldPlaces();
  const codes = useMemo(() => places?.countries.map(({ code }) => code) ?? NONE, [places]);
  const reach = useAppSelector((state) => selectCountryReach(state, codes));
  const marks = useAppSelector(selectZoneMarks);
  const split = useAppSelector(selectSplitCountries);
  const regions = useMemo(
    () => split.flatMap((country) => places?.subdivisions.get(country) ?? []),
    [split, places],
  );
  const subdivisions = useAppSelector((state) => selectSubdivisionReach(state, regions));
  const closed = [...reach.values()].filter((one) => !one.sold).length;
  const bare = [...reach.values()].filter((one) => one.sold && one.withoutRate).length;
  const title = `The world by zones: ${closed} countries closed, ${bare} sold to without any rate`;
  return (
    <Page>
      <PageHead title="Reach" />
      <View style={style.map}>
        <Suspense fallback={<Text style={style.legend}>Drawing the map …</Text>}>
          {places ? (
            <WorldMap
              reach={reach}
              subdivisions={subdivisions}
              split={split}
              marks={marks}
              title={title}
              byNumber={places.byNumber}
            />
          ) : null}
        </Suspense>
      </View>
      <Text style={style.legend}>
        Hatched: closed. Struck: sold to, and nothing ships there. Striped: split among zones by postal codes.
      </Text>
      <CodeBox places={places} />
      <Section title="Zones" />
      <ZoneList />
      <ContestList />
      <Section title="Sells to" />
      {places ? (
        <SellsToEditor countries={places.countries} subdivisions={places.subdivisions} reach={reach} />
      ) : null}
    </Page>
  );
};
