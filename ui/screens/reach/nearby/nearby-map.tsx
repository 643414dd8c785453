import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { hasGazetteer } from '../../../../gazetteer/read-gazetteer.ts';
import type { Position } from '../../../../core/model/delivery.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { landPath } from './coast.ts';
import { MapLayers, type Drawing } from './map-layers.tsx';
import { moved, planeOf, viewOfPoints, wholeView, zoomed, type NearView, type Plane } from './map-plane.ts';
import { DrawingActions, DrawingSheet, useShapeInHand } from './shape-drawing.tsx';
import { useDrag } from './use-drag.ts';
import { useLand } from './use-land.ts';
import { ShapeHandles } from './shape-handles.tsx';
import { IconAction } from '../../../parts/icon-action.tsx';

interface Props extends Omit<Drawing, 'plane'> {
  title: string;
  /** Whether the open area's shape is drawn anew, and what was drawn; null where it was given up. */
  draws: boolean;
  onDrawn: (ring: Position[] | null) => void;
}

const styles = (inks: Inks) => ({
  map: { borderWidth: 1, borderColor: inks.hairline, overflow: 'hidden' } as const,
  foot: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' } as const,
  note: note(inks),
});

const MAP_RATIO = 0.72;
const TALLEST = 460;

const KEYS: Record<string, (plane: Plane) => NearView> = {
  '+': ({ view }) => zoomed(view, 1.5),
  '=': ({ view }) => zoomed(view, 1.5),
  '-': ({ view }) => zoomed(view, 1 / 1.5),
  ArrowLeft: (plane) => moved(plane, -40, 0),
  ArrowRight: (plane) => moved(plane, 40, 0),
  ArrowUp: (plane) => moved(plane, 0, -40),
  ArrowDown: (plane) => moved(plane, 0, 40),
};

const Zooms = ({
  view,
  whole,
  setView,
}: {
  view: NearView;
  whole: NearView;
  setView: (view: NearView) => void;
}) => {
  const button = (icon: string, label: string, next: NearView) => (
    <IconAction icon={icon} size={18} accessibilityLabel={label} onPress={() => setView(next)} />
  );
  return (
    <View style={{ flexDirection: 'row' }}>
      {button('minus', t('Smaller'), zoomed(view, 1 / 1.5))}
      {button('plus', t('Larger'), zoomed(view, 1.5))}
      {button('close', t('The whole neighbourhood'), whole)}
    </View>
  );
};

/** What of the neighbourhood is in view: what the map opened with, then what the person chose. */
const useMapView = (
  { open, book }: Pick<Props, 'open' | 'book'>,
  whole: NearView,
  width: number,
  height: number,
): [view: NearView, setView: (view: NearView) => void] => {
  const [chosen, setView] = useState<NearView | null>(null);
  // What the map opened with stays, however areas are moved on it.
  const first = useRef<NearView | null>(null);
  if (width > 0) first.current ??= whole;
  useEffect(() => {
    const covers = book.areas.find(({ id }) => id === open)?.covers;
    if (covers?.kind !== 'shape' || width === 0) return;
    setView(
      viewOfPoints(
        covers.ring.map(([lng, lat]) => ({ lat, lng })),
        width,
        height,
      ),
    );
    // Brought into view when it is opened or becomes a shape, not while it is moved.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [open, width, book.areas.find(({ id }) => id === open)?.covers.kind]);
  return [chosen ?? first.current ?? whole, setView];
};

/** The map is moved by dragging it and by keys. */
const useMapMoves = (plane: Plane, setView: (view: NearView) => void): object => {
  const from = useRef(plane);
  const pan = useDrag({
    from: 6,
    onStart: () => {
      from.current = plane;
    },
    onMove: (dx, dy) => setView(moved(from.current, -dx, -dy)),
  });
  const onKeyDown = (event: {
    key: string;
    preventDefault: () => void;
    target: unknown;
    currentTarget: unknown;
  }): void => {
    const move = KEYS[event.key];
    if (!move || event.target !== event.currentTarget) return;
    event.preventDefault();
    setView(move(plane));
  };
  return { onKeyDown, tabIndex: 0, ...pan };
};

/** The neighbourhood to scale: coast, postal areas, locations, and what is delivered to. */
const NearbyMap = memo(function NearbyMap({ title, draws, onDrawn, ...stands }: Props) {
  const style = useStyles(styles);
  const [width, setWidth] = useState(0);
  const height = Math.min(TALLEST, Math.round(width * MAP_RATIO));
  const whole = useMemo(
    () => wholeView(stands.book, Math.max(width, 1), Math.max(height, 1)),
    [stands.book, width, height],
  );
  const [view, setView] = useMapView(stands, whole, width, height);
  const plane = useMemo(() => planeOf(view, width, height), [view, width, height]);
  const shape = useShapeInHand(plane, onDrawn);
  const land = useLand();
  const coast = useMemo(() => (width > 0 ? landPath(land, plane) : ''), [land, plane, width]);
  const moves = useMapMoves(plane, setView);
  return (
    <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width - 2)}>
      <View style={[style.map, { height: height + 2 }]}>
        <View role="img" aria-label={title} {...moves}>
          <MapLayers {...stands} plane={plane} coast={coast} />
        </View>
        {draws ? (
          <DrawingSheet shape={shape} />
        ) : (
          <ShapeHandles areas={stands.book.areas} open={stands.open} plane={plane} />
        )}
      </View>
      {draws ? <DrawingActions shape={shape} /> : null}
      <View style={style.foot}>
        <Text style={style.note}>
          {hasGazetteer(stands.book.locations[0]?.address.country ?? '')
            ? t('Marks are the middles of postal areas; a filled one is delivered to.')
            : t('The postal areas of this country are not known to the program, so the map shows none.')}
        </Text>
        <Zooms view={view} whole={whole} setView={setView} />
      </View>
    </View>
  );
});
export default NearbyMap;
