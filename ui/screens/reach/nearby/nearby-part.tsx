import { useLocalSearchParams, useRouter } from 'expo-router';
import { lazy, memo, Suspense } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { DeliveryArea, Position } from '../../../../core/model/delivery.ts';
import type { NearbyCode } from '../../../../core/coverage/neighbourhood.ts';
import { Beside } from '../../../parts/beside.tsx';
import { ColumnWidth } from '../../../parts/column-width.ts';
import { LinkPress } from '../../../parts/link-press.tsx';
import { Section } from '../../../parts/section.tsx';
import { useSteady } from '../../../parts/use-steady.ts';
import { usePostalAreas } from '../../../places/use-gazetteer.ts';
import { edit } from '../../../state/draft.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { Panel } from '../../charges/panel.tsx';
import { AreaPanel } from './area-panel.tsx';
import { AreaList, PickupList } from './nearby-lists.tsx';
import { selectAreaMarks, selectMapBook, selectNearbyCodes } from './nearby-selectors.ts';
import { hasPlaces } from './map-book.ts';
import { PickupPanel } from './pickup-panel.tsx';

const NearbyMap = lazy(async () => ({ default: (await import('../maps.ts')).NearbyMap }));

const styles = (inks: Inks) => ({
  map: { paddingTop: 12, minHeight: 240 },
  without: { paddingTop: 12 },
  link: { ...note(inks), textDecorationLine: 'underline' } as const,
  note: note(inks),
});

/** In place of a map that would have nothing on it: what it needs. */
const NoMap = () => {
  const style = useStyles(styles);
  return (
    <LinkPress to={{ pathname: '/settings', params: { part: 'locations' } }}>
      <Text style={[style.note, style.without]}>
        {t('The map is drawn once the point of a location is known: write its coordinates under ')}
        <Text style={style.link}>{t('Settings, Locations')}</Text>
        {t('. Areas by postal codes do without.')}
      </Text>
    </LinkPress>
  );
};

/** Codes that two areas cover, and codes between them that none does. */
const CodeFacts = memo(function CodeFacts({ codes }: { codes: readonly NearbyCode[] }) {
  const style = useStyles(styles);
  const twice = codes.filter(({ also }) => also.length > 0);
  const farthest = codes.findLastIndex(({ takes }) => takes.length > 0);
  const between = codes.slice(0, Math.max(farthest, 0)).filter(({ takes }) => takes.length === 0);
  const named = (list: readonly NearbyCode[], words: (one: NearbyCode) => string): string =>
    list.slice(0, 12).map(words).join(', ') +
    (list.length > 12 ? t(' and {count} more', { count: list.length - 12 }) : '');
  return (
    <View style={{ gap: 4, paddingVertical: 8 }}>
      {twice.length === 0 ? null : (
        <Text style={style.note}>
          {t('Covered twice: {codes}.', {
            codes: named(twice, ({ postal, takes, also }) =>
              t('{postal} ({area}, before {list})', {
                postal: postal.code,
                area: takes[0]?.name ?? '',
                list: also.map(({ name }) => name).join(t(' and ')),
              }),
            ),
          })}
        </Text>
      )}
      {between.length === 0 ? null : (
        <Text style={style.note}>
          {t('Within range, but in no delivery area: {codes}.', {
            codes: named(between, ({ postal }) => `${postal.code} ${postal.name}`),
          })}
        </Text>
      )}
    </View>
  );
});

interface NeighbourhoodProps {
  codes: readonly NearbyCode[];
  opened: DeliveryArea | undefined;
  /** Whether the opened area's shape is drawn anew. */
  draws: boolean;
  onDrawn: (ring: Position[] | null) => void;
}

/** The map with all that lies on it, or what it needs to be drawn. */
const Neighbourhood = ({ codes, opened, draws, onDrawn }: NeighbourhoodProps) => {
  const style = useStyles(styles);
  const book = useAppSelector(selectMapBook);
  const marks = useAppSelector(selectAreaMarks);
  if (!hasPlaces(book)) return <NoMap />;
  const served = codes.filter(({ takes }) => takes.length > 0).length;
  const title =
    codes.length === 0
      ? t('The neighbourhood')
      : t('The neighbourhood: {served} of {count} postal areas nearby are delivered to', {
          served,
          count: codes.length,
        });
  return (
    <View style={style.map}>
      <Suspense fallback={<Text style={style.note}>{t('Drawing the map …')}</Text>}>
        <NearbyMap
          book={book}
          codes={codes}
          marks={marks}
          open={opened?.id ?? null}
          title={title}
          draws={draws && opened?.covers.kind === 'shape'}
          onDrawn={onDrawn}
        />
      </Suspense>
    </View>
  );
};

/** The neighbourhood: where the shop delivers by itself, and where customers collect. */
const NearbyPart = () => {
  const router = useRouter();
  const { areas, pickups, locations } = useBookParts('areas', 'pickups', 'locations');
  const dispatch = useAppDispatch();
  const { area, pickup, draw } = useLocalSearchParams<{ area?: string; pickup?: string; draw?: string }>();
  const postal = usePostalAreas(locations[0]?.address.country ?? '');
  const codes = useAppSelector((state) => selectNearbyCodes(state, postal));
  const show = (params: { area?: string; pickup?: string }): void => {
    router.navigate({ pathname: '/reach', params: { part: 'nearby', ...params } });
  };
  const openArea = area ?? null;
  const opened = areas.find(({ id }) => id === openArea);
  const point = pickups.find(({ id }) => id === pickup);
  const shown = opened ?? point;
  const onDrawn = useSteady((ring: Position[] | null): void => {
    if (ring && opened) {
      const changes = { covers: { kind: 'shape' as const, ring } };
      dispatch(edit('setArea', { id: opened.id, changes }, t('{opened}: shape', { opened: opened.name })));
    }
    if (opened) show({ area: opened.id });
  });
  const panel = shown ? (
    <Panel title={shown.name} of={shown.id} onClose={() => show({})}>
      <ColumnWidth value="phone">
        {opened ? <AreaPanel area={opened} /> : point ? <PickupPanel point={point} /> : null}
      </ColumnWidth>
    </Panel>
  ) : null;
  return (
    <Beside panel={panel}>
      <Neighbourhood codes={codes} opened={opened} draws={draw === '1'} onDrawn={onDrawn} />
      <CodeFacts codes={codes} />
      <Section title={t('Delivery areas')} />
      <AreaList open={openArea} setOpen={(id) => show(id === null ? {} : { area: id })} />
      <Section title={t('Pickup points')} />
      <PickupList open={pickup ?? null} setOpen={(id) => show(id === null ? {} : { pickup: id })} />
    </Beside>
  );
};
export default NearbyPart;
