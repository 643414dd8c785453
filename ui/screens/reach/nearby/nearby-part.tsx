import { useLocalSearchParams, useRouter } from 'expo-router';
import { lazy, memo, Suspense } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Position } from '../../../../core/model/delivery.ts';
import type { NearbyCode } from '../../../../core/coverage/neighbourhood.ts';
import { Beside } from '../../../parts/beside.tsx';
import { ColumnWidth } from '../../../parts/column-width.ts';
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
import { PickupPanel } from './pickup-panel.tsx';

const NearbyMap = lazy(async () => ({ default: (await import('../maps.ts')).NearbyMap }));

const styles = (inks: Inks) => ({
  map: { paddingTop: 12, minHeight: 240 },
  note: note(inks),
});

/** Codes that two areas cover, and codes between them that none does. */
const CodeFacts = memo(function CodeFacts({ codes }: { codes: readonly NearbyCode[] }) {
  const style = useStyles(styles);
  const twice = codes.filter(({ also }) => also.length > 0);
  const farthest = codes.findLastIndex(({ takes }) => takes.length > 0);
  const between = codes.slice(0, Math.max(farthest, 0)).filter(({ takes }) => takes.length === 0);
  const named = (list: readonly NearbyCode[], words: (one: NearbyCode) => string): string =>
    list.slice(0, 12).map(words).join(', ') + (list.length > 12 ? ` and ${list.length - 12} more` : '');
  return (
    <View style={{ gap: 4, paddingVertical: 8 }}>
      {twice.length === 0 ? null : (
        <Text style={style.note}>
          Covered twice:{' '}
          {named(
            twice,
            ({ postal, takes, also }) =>
              `${postal.code} (${takes[0]?.name ?? ''}, before ${also.map(({ name }) => name).join(' and ')})`,
          )}
          .
        </Text>
      )}
      {between.length === 0 ? null : (
        <Text style={style.note}>
          Within range, but in no delivery area:{' '}
          {named(between, ({ postal }) => `${postal.code} ${postal.name}`)}.
        </Text>
      )}
    </View>
  );
});

/** The neighbourhood: where the shop delivers by itself, and where customers collect. */
const NearbyPart = () => {
  const style = useStyles(styles);
  const router = useRouter();
  const book = useAppSelector(selectMapBook);
  const { areas, pickups } = useBookParts('areas', 'pickups');
  const dispatch = useAppDispatch();
  const { area, pickup, draw } = useLocalSearchParams<{ area?: string; pickup?: string; draw?: string }>();
  const postal = usePostalAreas(book.locations[0]?.address.country ?? '');
  const codes = useAppSelector((state) => selectNearbyCodes(state, postal));
  const marks = useAppSelector(selectAreaMarks);
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
      dispatch(edit('setArea', { id: opened.id, changes }, `${opened.name}: shape`));
    }
    if (opened) show({ area: opened.id });
  });
  const served = codes.filter(({ takes }) => takes.length > 0).length;
  const title = `The neighbourhood: ${served} of ${codes.length} postal areas nearby are delivered to`;
  const panel = shown ? (
    <Panel title={shown.name} of={shown.id} onClose={() => show({})}>
      <ColumnWidth value="phone">
        {opened ? <AreaPanel area={opened} /> : point ? <PickupPanel point={point} /> : null}
      </ColumnWidth>
    </Panel>
  ) : null;
  return (
    <Beside panel={panel}>
      <View style={style.map}>
        <Suspense fallback={<Text style={style.note}>Drawing the map …</Text>}>
          <NearbyMap
            book={book}
            codes={codes}
            marks={marks}
            open={openArea}
            title={title}
            draws={draw === '1' && opened?.covers.kind === 'shape'}
            onDrawn={onDrawn}
          />
        </Suspense>
      </View>
      <CodeFacts codes={codes} />
      <Section title="Delivery areas" />
      <AreaList open={openArea} setOpen={(id) => show(id === null ? {} : { area: id })} />
      <Section title="Pickup points" />
      <PickupList open={pickup ?? null} setOpen={(id) => show(id === null ? {} : { pickup: id })} />
    </Beside>
  );
};
export default NearbyPart;
