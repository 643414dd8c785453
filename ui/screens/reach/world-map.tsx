import { geoNaturalEarth1, geoPath } from 'd3-geo';
import { useMemo, useState } from 'react';
import { PanResponder, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import Svg, { Defs, G, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import { feature } from 'topojson-client';
import type { GeometryCollection, Topology } from 'topojson-specification';
import atlas from 'world-atlas/countries-110m.json';
import type { CountryReach } from '../../../core/reach/country-reach.ts';
import { useInks } from '../../theme/theme.ts';
import { PAPER, SANS_STRONG } from '../../theme/tokens.ts';
import type { ZoneMark } from '../../theme/zone-marks.ts';
import { clampView, movedView, WHOLE_WORLD, zoomedView, type MapView } from './map-view.ts';

interface Props {
  reach: ReadonlyMap<string, CountryReach>;
  marks: ReadonlyMap<string, ZoneMark>;
  title: string;
  /** From the map's numbers of countries to their codes. */
  byNumber: Readonly<Record<string, string>>;
}

interface Shape {
  country: string;
  path: string;
  centre: [number, number];
  area: number;
}

const topology = atlas as unknown as Topology<{ countries: GeometryCollection }>;
const WIDTH = 720;
const HEIGHT = 360;
/** The size of a letter, and the least country that gets one, in pixels of the screen. */
const LETTER = 11;
const LETTER_FROM = 900;

/** The countries' outlines on a plane of 720 by 360. Antarctica is left out. */
const shapesOf = (byNumber: Props['byNumber']): Shape[] => {
  const world = feature(topology, topology.objects.countries);
  const shown = { ...world, features: world.features.filter(({ id }) => id !== '010') };
  const path = geoPath(geoNaturalEarth1().fitSize([WIDTH, HEIGHT], shown)).digits(1);
  return shown.features.flatMap((one) => {
    const country = byNumber[String(one.id)];
    const text = path(one);
    return country && text ? [{ country, path: text, centre: path.centroid(one), area: path.area(one) }] : [];
  });
};

/** The zones of a country that are drawn: the parts where it is split, else its own. */
const zonesDrawn = ({ zone, parts }: CountryReach): string[] =>
  parts.length > 0 ? parts.map((part) => part.id) : zone ? [zone.id] : [];

const SplitPattern = ({ id, inks }: { id: string; inks: string[] }) => (
  <Pattern id={id} patternUnits="userSpaceOnUse" width={inks.length * 5} height={10}>
    {inks.map((ink, at) => (
      <Rect key={at} x={at * 5} y={0} width={5} height={10} fill={ink} />
    ))}
  </Pattern>
);

const Hatches = ({ quiet, rubric, ground }: { quiet: string; rubric: string; ground: string }) => (
  <>
    <Pattern id="closed" patternUnits="userSpaceOnUse" width={6} height={6} patternTransform="rotate(45)">
      <Rect width={6} height={6} fill={ground} />
      <Rect width={1} height={6} fill={quiet} />
    </Pattern>
    <Pattern
      id="without-rate"
      patternUnits="userSpaceOnUse"
      width={6}
      height={6}
      patternTransform="rotate(-45)"
    >
      <Rect width={6} height={6} fill={ground} />
      <Rect width={2} height={6} fill={rubric} />
    </Pattern>
  </>
);

const fillOf = (stands: CountryReach | undefined, marks: Props['marks']): string => {
  if (!stands?.sold) return 'url(#closed)';
  const zones = zonesDrawn(stands);
  if (zones.length === 0 || stands.withoutRate) return 'url(#without-rate)';
  return zones.length === 1 ? (marks.get(zones[0] ?? '')?.ink ?? 'none') : `url(#split-${stands.country})`;
};

const splitOf = (reach: Props['reach']): CountryReach[] =>
  [...reach.values()].filter((one) => one.sold && zonesDrawn(one).length > 1);

const usePan = (view: MapView, setView: (view: MapView) => void, width: number) => {
  const scale = WIDTH / Math.max(width, 1);
  return PanResponder.create({
    onMoveShouldSetPanResponder: (_, { dx, dy, numberActiveTouches }) =>
      view.zoom > 1 && numberActiveTouches < 2 && Math.abs(dx) + Math.abs(dy) > 6,
    onPanResponderMove: (_, { dx, dy, vx, vy }) => {
      if (Math.abs(vx) + Math.abs(vy) > 0)
        setView(
          clampView(
            { ...view, x: view.x - (dx * scale) / view.zoom, y: view.y - (dy * scale) / view.zoom },
            WIDTH,
            HEIGHT,
          ),
        );
    },
  });
};

const KEYS: Record<string, (view: MapView) => MapView> = {
  '+': (view) => zoomedView(view, 1.5, WIDTH, HEIGHT),
  '=': (view) => zoomedView(view, 1.5, WIDTH, HEIGHT),
  '-': (view) => zoomedView(view, 1 / 1.5, WIDTH, HEIGHT),
  '0': () => WHOLE_WORLD,
  ArrowLeft: (view) => movedView(view, -40, 0, WIDTH, HEIGHT),
  ArrowRight: (view) => movedView(view, 40, 0, WIDTH, HEIGHT),
  ArrowUp: (view) => movedView(view, 0, -40, WIDTH, HEIGHT),
  ArrowDown: (view) => movedView(view, 0, 40, WIDTH, HEIGHT),
};

/** The world, each country in its zone's ink and letter; closed ones hatched, those that nothing ships to struck. */
const WorldMap = ({ reach, marks, title, byNumber }: Props) => {
  const inks = useInks();
  const shapes = useMemo(() => shapesOf(byNumber), [byNumber]);
  const [view, setView] = useState<MapView>(WHOLE_WORLD);
  const [width, setWidth] = useState(0);
  const pan = usePan(view, setView, width);
  const onKeyDown = (event: { key: string; preventDefault: () => void }): void => {
    const move = KEYS[event.key];
    if (!move) return;
    event.preventDefault();
    setView(move(view));
  };
  const box = `${view.x} ${view.y} ${WIDTH / view.zoom} ${HEIGHT / view.zoom}`;
  /** Pixels of the screen for one of the map's units. */
  const scale = (Math.max(width, 1) / WIDTH) * view.zoom;
  const letterSize = LETTER / scale;
  const keys = { onKeyDown, tabIndex: 0 } as object;
  return (
    <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      <View role="img" aria-label={title} {...keys} {...pan.panHandlers}>
        <Svg width="100%" height={(width * HEIGHT) / WIDTH} viewBox={box} aria-hidden>
          <Defs>
            <Hatches quiet={inks.control} rubric={inks.rubric} ground={inks.ground} />
            {splitOf(reach).map((one) => (
              <SplitPattern
                key={one.country}
                id={`split-${one.country}`}
                inks={zonesDrawn(one).map((id) => marks.get(id)?.ink ?? inks.control)}
              />
            ))}
          </Defs>
          {shapes.map(({ country, path }) => (
            <Path
              key={country}
              d={path}
              fill={fillOf(reach.get(country), marks)}
              stroke={inks.ground}
              strokeWidth={0.6 / view.zoom}
            />
          ))}
          <G>
            {shapes.map(({ country, centre, area }) => {
              const stands = reach.get(country);
              if (!stands?.sold || area * scale ** 2 < LETTER_FROM) return null;
              const letters = zonesDrawn(stands).map((id) => marks.get(id)?.letter ?? '');
              return (
                <SvgText
                  key={country}
                  x={centre[0]}
                  y={centre[1] + letterSize / 3}
                  textAnchor="middle"
                  fontFamily={SANS_STRONG}
                  fontSize={letterSize}
                  fill={PAPER.ink}
                >
                  {letters.join(' ')}
                </SvgText>
              );
            })}
          </G>
        </Svg>
      </View>
      <View style={{ flexDirection: 'row', justifyContent: 'flex-end' }}>
        <IconButton
          icon="minus"
          size={18}
          accessibilityLabel="Smaller"
          style={{ margin: 0 }}
          onPress={() => setView(zoomedView(view, 1 / 1.5, WIDTH, HEIGHT))}
        />
        <IconButton
          icon="plus"
          size={18}
          accessibilityLabel="Larger"
          style={{ margin: 0 }}
          onPress={() => setView(zoomedView(view, 1.5, WIDTH, HEIGHT))}
        />
        <IconButton
          icon="close"
          size={18}
          accessibilityLabel="The whole world"
          disabled={view.zoom === 1}
          style={{ margin: 0 }}
          onPress={() => setView(WHOLE_WORLD)}
        />
      </View>
    </View>
  );
};

export default WorldMap;
