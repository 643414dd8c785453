import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { shapesText } from '../../../../core/formats/area-geojson.ts';
import type { Location } from '../../../../core/model/location.ts';
import type { DeliveryArea, PickupPoint } from '../../../../core/model/delivery.ts';
import { areaPricePhrase, coveragePhrase, pickupPhrase } from '../../../../core/price/nearby-phrase.ts';
import { fileName, saveFile } from '../../../files/files.ts';
import { Press } from '../../../parts/press.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { ZoneSwatch } from '../../../parts/zone-swatch.tsx';
import { freeId } from '../../../../core/model/ids.ts';
import { edit } from '../../../state/draft.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../../../theme/tokens.ts';
import { AreaPanel } from './area-panel.tsx';
import { firstCoverage, noShapeText } from './coverage.ts';
import { selectAreaMarks } from './nearby-selectors.ts';
import { holesNote, openShapes, shapeName } from './open-shapes.ts';
import { PickupPanel } from './pickup-panel.tsx';
import { Opened } from '../../../parts/opened.tsx';
import { useHasRoomBeside } from '../../../parts/use-room-beside.ts';
import { dayNow } from '../../../time/now.ts';
import { Actions } from '../../../parts/actions.tsx';

const styles = (inks: Inks) => ({
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { flexDirection: 'row', gap: 12, paddingVertical: 10, minHeight: TOUCH } as const,
  words: { flex: 1 },
  name: { fontFamily: SANS_STRONG },
  note: note(inks),
  fault: { ...note(inks), color: inks.rubric },
  none: { ...note(inks), paddingVertical: 16 },
  actions: { marginTop: 4 },
});

interface ListProps {
  open: string | null;
  setOpen: (id: string | null) => void;
}

interface ItemProps {
  name: string;
  active: boolean;
  lines: readonly string[];
  mark?: ReactNode;
  isOpen: boolean;
  onPress: () => void;
  children: ReactNode;
}

/** An area or a point; opened, what it is stands under it where it has no room beside. */
const Item = ({ name, active, lines, mark, isOpen, onPress, children }: ItemProps) => {
  const style = useStyles(styles);
  const isBeside = useHasRoomBeside();
  return (
    <View style={style.item} role="listitem">
      <Press role="button" aria-expanded={isOpen} onPress={onPress}>
        <View style={style.row}>
          {mark}
          <View style={style.words}>
            <Text style={style.name}>{name}</Text>
            {active ? null : <Text style={style.note}>{t('switched off')}</Text>}
            {lines.map((line) => (
              <Text key={line} style={style.note}>
                {line}
              </Text>
            ))}
          </View>
        </View>
      </Press>
      {isOpen && !isBeside ? <Opened>{children}</Opened> : null}
    </View>
  );
};

const areaLines = (area: DeliveryArea, display: Parameters<typeof coveragePhrase>[1]): string[] => [
  `${coveragePhrase(area.covers, display)} · ${area.methods.map(({ name }) => name).join(', ')}`,
  areaPricePhrase(area, display),
];

/** Areas added by hand, out of a GeoJSON file, and saved as one. */
const AreaActions = ({ location, setOpen }: { location: Location; setOpen: ListProps['setOpen'] }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { areas, store } = useBookParts('areas', 'store');
  const { units } = useAppSelector(selectDisplayFormat);
  const [said, setSaid] = useState<string | null>(null);
  const add = (kind: 'postal' | 'radius' | 'shape', name: string) => () => {
    const covers = firstCoverage(kind, location, units);
    setSaid(covers ? null : noShapeText(location));
    if (!covers) return;
    setOpen(freeId(name, areas));
    const area = { name, locationId: location.id, covers };
    dispatch(edit('addArea', area, t('New area: {name}', { name })));
  };
  const take = async (): Promise<void> => {
    const opened = await openShapes();
    if (!opened) return;
    setSaid(opened.ok ? holesNote(opened.shapes) || null : opened.reason);
    if (!opened.ok) return;
    const taken = opened.shapes.map((shape, n) => ({
      name: shapeName(shape, n),
      locationId: location.id,
      covers: { kind: 'shape' as const, ring: shape.ring },
    }));
    dispatch(
      edit(
        'addAreas',
        { areas: taken },
        t('{count, plural, one {# area} other {# areas}} of {opened}', {
          count: taken.length,
          opened: opened.name,
        }),
      ),
    );
  };
  const save = (): void =>
    saveFile(fileName(store.name, 'areas', dayNow(store), 'geojson'), shapesText(areas));
  return (
    <>
      <Actions style={style.actions}>
        <TextAction label={t('Add an area by codes')} onPress={add('postal', t('New area'))} />
        <TextAction label={t('Add an area by radius')} onPress={add('radius', t('New radius'))} />
        <TextAction label={t('Add an area by shape')} onPress={add('shape', t('New shape'))} />
        <TextAction label={t('Areas from a GeoJSON file')} onPress={() => void take()} />
        {areas.some(({ covers }) => covers.kind === 'shape') ? (
          <TextAction label={t('Save the shapes as GeoJSON')} onPress={save} />
        ) : null}
      </Actions>
      {said === null ? null : (
        <Text style={style.fault} role="alert">
          {said}
        </Text>
      )}
    </>
  );
};

/** The delivery areas, to be opened, added, read from a file and saved as one. */
export const AreaList = ({ open, setOpen }: ListProps) => {
  const style = useStyles(styles);
  const { areas, locations } = useBookParts('areas', 'locations');
  const display = useAppSelector(selectDisplayFormat);
  const marks = useAppSelector(selectAreaMarks);
  const [location] = locations;
  return (
    <View>
      {areas.length === 0 ? (
        <Text style={style.none}>
          {t(
            'A delivery area is where you bring orders yourself: a list of postal codes, a radius, or a shape on the map.',
          )}
        </Text>
      ) : null}
      <View role="list" aria-label={t('Delivery areas')}>
        {areas.map((area) => (
          <Item
            key={area.id}
            name={area.name}
            active={area.active}
            lines={areaLines(area, display)}
            mark={<ZoneSwatch mark={marks.get(area.id)} />}
            isOpen={open === area.id}
            onPress={() => setOpen(open === area.id ? null : area.id)}
          >
            <AreaPanel area={area} />
          </Item>
        ))}
      </View>
      {location ? (
        <AreaActions location={location} setOpen={setOpen} />
      ) : (
        <Text style={style.none}>{t('First write where you are, under Settings, Locations.')}</Text>
      )}
    </View>
  );
};

/** The pickup points, to be opened and added. */
export const PickupList = ({ open, setOpen }: ListProps) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { pickups, locations } = useBookParts('pickups', 'locations');
  const display = useAppSelector(selectDisplayFormat);
  const [location] = locations;
  const whereOf = ({ locationId }: PickupPoint): string =>
    locations.find(({ id }) => id === locationId)?.name ?? locationId;
  return (
    <View>
      {pickups.length === 0 ? (
        <Text style={style.none}>
          {t('A pickup point is where customers collect their orders: free, or for a charge.')}
        </Text>
      ) : null}
      <View role="list" aria-label={t('Pickup points')}>
        {pickups.map((point) => (
          <Item
            key={point.id}
            name={point.name}
            active={point.active}
            lines={[t('at {where}', { where: whereOf(point) }), pickupPhrase(point, display)]}
            isOpen={open === point.id}
            onPress={() => setOpen(open === point.id ? null : point.id)}
          >
            <PickupPanel point={point} />
          </Item>
        ))}
      </View>
      {location ? (
        <TextAction
          label={t('Add a pickup point')}
          style={{ alignSelf: 'flex-start', marginLeft: -4, marginTop: 4 }}
          onPress={() => {
            const name = t('Collect at {location}', { location: location.name });
            setOpen(freeId(name, pickups));
            dispatch(edit('addPickup', { name, locationId: location.id }, t('New pickup point')));
          }}
        />
      ) : null}
    </View>
  );
};
