import { useLocalSearchParams, useRouter } from 'expo-router';
import { lazy, Suspense, useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { Opened } from '../../parts/opened.tsx';
import { Page } from '../../page/page.tsx';
import { Section } from '../../parts/section.tsx';
import { Tabs } from '../../parts/tabs.tsx';
import { useHasRoomBeside } from '../../parts/use-room-beside.ts';
import { useWidth } from '../../parts/use-width.ts';
import { useWorldPlaces, type WorldPlaces } from '../../places/places.ts';
import { Later } from '../../parts/later.tsx';
import { PageHead } from '../../page/page-head.tsx';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { FINGER, type Inks } from '../../theme/tokens.ts';
import { MAP_HEIGHT, MAP_WIDTH } from './map-plane.ts';
import { CodeBox } from './code-box.tsx';
import {
  selectCountryReach,
  selectSplitCountries,
  selectSubdivisionReach,
  selectZoneMarks,
} from './reach-selectors.ts';
import { SellsToEditor } from './sells-to.tsx';
import { ContestList, ZoneList } from './zone-list.tsx';

const WorldMap = lazy(async () => ({ default: (await import('./maps.ts')).WorldMap }));
const NearbyPart = lazy(() => import('./nearby/nearby-part.tsx'));
const PostalPart = lazy(() => import('./postal/postal-part.tsx'));
const PostalImport = lazy(() => import('./postal/postal-import.tsx'));
const NONE: string[] = [];

const styles = (inks: Inks) => ({
  map: { paddingTop: 12 },
  // As tall as the map with its buttons, so that nothing below moves when it is there.
  room: { aspectRatio: MAP_WIDTH / MAP_HEIGHT, marginBottom: FINGER },
  legend: note(inks),
});

/** A part that was opened with something to look for comes into view; anew for each. */
const AskedFor = ({ text, children }: { text: string; children: ReactNode }) =>
  text === '' ? children : <Opened key={text}>{children}</Opened>;

/** The map of the world by zones, and what its marks mean. */
const Map = ({
  places,
  reach,
}: {
  places: WorldPlaces | null;
  reach: ReturnType<typeof selectCountryReach>;
}) => {
  const style = useStyles(styles);
  const marks = useAppSelector(selectZoneMarks);
  const split = useAppSelector(selectSplitCountries);
  const regions = useMemo(
    () => split.flatMap((country) => places?.subdivisions.get(country) ?? []),
    [split, places],
  );
  const subdivisions = useAppSelector((state) => selectSubdivisionReach(state, regions));
  const closed = [...reach.values()].filter((one) => !one.sold).length;
  const bare = [...reach.values()].filter((one) => one.sold && one.withoutRate).length;
  const title = t('The world by zones: {closed} countries closed, {bare} sold to without any rate', {
    closed,
    bare,
  });
  const room = (
    <View style={style.room}>
      <Text style={style.legend}>{t('Drawing the map …')}</Text>
    </View>
  );
  return (
    <>
      <View style={style.map}>
        <Suspense fallback={room}>
          {places ? (
            <WorldMap
              reach={reach}
              subdivisions={subdivisions}
              split={split}
              marks={marks}
              title={title}
              byNumber={places.byNumber}
            />
          ) : (
            room
          )}
        </Suspense>
      </View>
      <Text style={style.legend}>
        {t(
          'Hatched: closed. Crossed out: open, but no rate. Striped: shared by several zones, by postal code.',
        )}
      </Text>
    </>
  );
};

/** The world by zones, where a code falls, the zones, and what is closed. */
const World = () => {
  const { code = '', find = '' } = useLocalSearchParams<{ code?: string; find?: string }>();
  const places = useWorldPlaces();
  const codes = useMemo(() => places?.countries.map(({ code }) => code) ?? NONE, [places]);
  const reach = useAppSelector((state) => selectCountryReach(state, codes));
  return (
    <View>
      <Map places={places} reach={reach} />
      <AskedFor text={code}>
        <CodeBox places={places} asked={code} />
      </AskedFor>
      <Section title={t('Zones')} />
      <ZoneList />
      <ContestList />
      <Section title={t('Sells to')} />
      {places ? (
        <AskedFor text={find}>
          <SellsToEditor
            countries={places.countries}
            subdivisions={places.subdivisions}
            reach={reach}
            asked={find}
          />
        </AskedFor>
      ) : null}
    </View>
  );
};

const PARTS = [
  { value: 'world', label: t('Zones') },
  { value: 'nearby', label: t('Neighbourhood') },
  { value: 'postal', label: t('Postal list') },
] as const;
type PartName = (typeof PARTS)[number]['value'];

/** Where the shop sells and how far: the world by zones, the neighbourhood, and the list of postal codes that are served. */
const ReachScreen = () => {
  const router = useRouter();
  const isPhone = useWidth() === 'phone';
  const { part, area, pickup } = useLocalSearchParams<{ part?: string; area?: string; pickup?: string }>();
  const hasRoom = useHasRoomBeside();
  const isOpen = area !== undefined || pickup !== undefined;
  const [file, setFile] = useState<File | null>(null);
  const name: PartName = part === 'postal' || part === 'nearby' ? part : 'world';
  if (file) {
    return (
      <Later>
        <PostalImport file={file} onDone={() => setFile(null)} />
      </Later>
    );
  }
  return (
    <Page key={name} full={name === 'nearby' && isOpen && hasRoom}>
      <PageHead title={t('Reach')} />
      <Tabs
        label={t('Reach')}
        bleed={isPhone ? 20 : 0}
        value={name}
        options={PARTS}
        onChange={(next) =>
          router.navigate({ pathname: '/reach', params: next === 'world' ? {} : { part: next } })
        }
      />
      {name === 'world' ? (
        <World />
      ) : (
        <Later>{name === 'nearby' ? <NearbyPart /> : <PostalPart onFile={setFile} />}</Later>
      )}
    </Page>
  );
};
export default ReachScreen;
