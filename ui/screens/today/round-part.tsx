import { lazy, Suspense, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Location } from '../../../core/model/location.ts';
import type { PastOrder } from '../../../core/model/order.ts';
import { roundStops, type RoundStops } from '../../../core/order/round-stops.ts';
import { distanceFigure, type DisplayFormat } from '../../../core/words/figure.ts';
import { roundCells, roundGeoJson, roundSheet, type RoundStop } from '../../../core/formats/round-files.ts';
import { fileName, saveFile, type FileKind } from '../../files/files.ts';
import { SaveList } from '../../parts/save-list.tsx';
import { Section } from '../../parts/section.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { selectServedBook, selectServedDisplayFormat } from '../../state/served.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note, smallFigure } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';
import { Actions } from '../../parts/actions.tsx';

const RoundMap = lazy(async () => ({ default: (await import('../reach/maps.ts')).RoundMap }));

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingVertical: 8 },
  plain: note(inks),
  row: {
    flexDirection: 'row',
    gap: 12,
    paddingVertical: 8,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  at: { ...smallFigure, width: 24, textAlign: 'right' } as const,
  words: { flex: 1, minWidth: 0 },
  name: { fontFamily: SANS_STRONG },
});

/** Where the round goes: each stop, and how far it is from the one before. */
const Stops = ({ from, stops }: { from: string; stops: readonly RoundStop[] }) => {
  const style = useStyles(styles);
  const { units } = useAppSelector(selectServedDisplayFormat);
  return (
    <View role="list" aria-label={t('Stops of the round from {from}', { from })}>
      {stops.map(({ order, metres: away }, at) => (
        <View key={order.number} role="listitem" style={style.row}>
          <Text style={style.at}>{at + 1}</Text>
          <View style={style.words}>
            <Text style={style.name}>
              {order.number} {order.recipient ?? ''}
            </Text>
            <Text style={style.plain}>
              {[...(order.request.destination?.lines ?? []), order.request.destination?.city]
                .filter(Boolean)
                .join(', ')}
            </Text>
          </View>
          <Text style={style.plain}>{distanceFigure(Math.round(away / 100) * 100, units)}</Text>
        </View>
      ))}
    </View>
  );
};

/** How long the round is, and what is missing from it. */
const lengthWords = ({ stops, metres, missing }: RoundStops, units: DisplayFormat['units']): string => {
  const length = distanceFigure(Math.round(metres / 100) * 100, units);
  const left =
    missing > 0
      ? t(' {missing, plural, one {# address} other {# addresses}} without a point are left out.', {
          missing,
        })
      : '';
  return t(
    '{count, plural, one {# stop} other {# stops}}, {length} there and back as the crow flies.{left}',
    { count: stops.length, length, left },
  );
};

/** The deliveries of a day in a sensible order, as a list, on the map and as files. */
export const RoundPart = ({
  orders,
  location,
  date,
}: {
  orders: readonly PastOrder[];
  location: Location;
  date: string;
}) => {
  const style = useStyles(styles);
  const { units } = useAppSelector(selectServedDisplayFormat);
  const { store } = useAppSelector(selectServedBook);
  const start = location.address.point;
  const round = useMemo(() => roundStops(orders, start), [orders, start]);
  const { stops } = round;
  const [isOnMap, setOnMap] = useState(false);
  const name = (kind: FileKind): string => fileName(store.name, 'round', date, kind);
  return (
    <View>
      <Section title={t('The round from {location}', { location: location.name })} />
      <Text style={style.note}>
        {start
          ? lengthWords(round, units)
          : t('The point of {location} is not known: write it under Settings, Locations.', {
              location: location.name,
            })}
      </Text>
      <Stops from={location.name} stops={stops} />
      <Actions>
        <TextAction
          label={isOnMap ? t('Hide the map') : t('On the map')}
          onPress={() => setOnMap(!isOnMap)}
        />
        <SaveList
          name={name}
          sheet={t('Round')}
          columns={roundSheet}
          items={stops}
          cells={roundCells(stops)}
        />
        <TextAction
          label={t('Save as GeoJSON')}
          disabled={stops.length === 0 || !start}
          onPress={() => (start ? saveFile(name('geojson'), roundGeoJson(start, stops)) : undefined)}
        />
      </Actions>
      {isOnMap && start ? (
        <Suspense fallback={<Text style={style.note}>{t('Drawing the map …')}</Text>}>
          <RoundMap
            start={start}
            stops={stops.map(({ point }) => point)}
            title={t('The round: {count, plural, one {# stop} other {# stops}}', { count: stops.length })}
          />
        </Suspense>
      ) : null}
    </View>
  );
};
