import { useEffect, useMemo, useState } from 'react';
import { PanResponder, View } from 'react-native';

import Svg, { Defs, G, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import { t } from '../../../core/translate/translate.ts';
import type { CountryReach } from '../../../core/coverage/country-reach.ts';
import type { SubdivisionReach } from '../../../core/coverage/subdivision-reach.ts';
import { useInks } from '../../theme/theme.ts';
import { PAPER, SANS_STRONG } from '../../theme/tokens.ts';
import type { ZoneMark } from '../../theme/zone-marks.ts';
import { MAP_HEIGHT, MAP_WIDTH } from './map-plane.ts';
import { subdivisionShapes, worldShapes, type Shape } from './map-shapes.ts';
import { clampView, movedView, WHOLE_WORLD, zoomedView, type MapView } from './map-view.ts';
import { IconAction } from '../../parts/icon-action.tsx';

interface Props {
  reach: ReadonlyMap<string, CountryReach>;
  /** The subdivisions of the countries that are split. */
  subdivisions: ReadonlyMap<string, SubdivisionReach>;
  split: readonly string[];
  marks: ReadonlyMap<string, ZoneMark>;
  title: string;
  /** From the map's numbers of countries to their codes. */
  byNumber: Readonly<Record<string, string>>;
}

const WIDTH = MAP_WIDTH;
const HEIGHT = MAP_HEIGHT;
/** The size of a letter, and the least area that gets one, in pixels of the screen. */
const LETTER = 11;
const LETTER_FROM = 900;
/** A part of a country stands for all of its zone there, and so gets a letter when it is smaller. */
const PART_LETTER_FROM = 300;

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

const partFill = (stands: SubdivisionReach | undefined, marks: Props['marks']): string => {
  if (!stands?.sold) return 'url(#closed)';
  if (!stands.zone || stands.withoutRate) return 'url(#without-rate)';
  return marks.get(stands.zone.id)?.ink ?? 'none';
};

/** The subdivisions that are drawn: those of split countries, once their outlines are loaded. */
const useParts = (split: readonly string[]): Shape[] => {
  const [shapes, setShapes] = useState<ReadonlyMap<string, Shape[]>>(new Map());
  const isNeeded = split.length > 0;
  useEffect(() => {
    let wanted = isNeeded;
    if (isNeeded)
      void subdivisionShapes().then((loaded) => {
        if (wanted) setShapes(loaded);
      });
    return () => {
      wanted = false;
    };
  }, [isNeeded]);
  return useMemo(() => split.flatMap((country) => shapes.get(country) ?? []), [split, shapes]);
};

/** One letter a zone and country, on the largest of its parts. */
const lettered = (parts: readonly Shape[], subdivisions: Props['subdivisions']): Shape[] => {
  const largest = new Map<string, Shape>();
  for (const shape of parts) {
    const stands = subdivisions.get(shape.code);
    if (!stands?.sold || !stands.zone) continue;
    const key = `${shape.code.slice(0, 2)}/${stands.zone.id}`;
    if ((largest.get(key)?.area ?? 0) < shape.area) largest.set(key, shape);
  }
  return [...largest.values()];
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

interface Drawing extends Omit<Props, 'title' | 'byNumber'> {
  countries: readonly Shape[];
  parts: readonly Shape[];
  zoom: number;
  /** Pixels of the screen for one of the map's units. */
  scale: number;
}

const Fills = ({ reach, subdivisions, marks, countries, parts, zoom }: Drawing) => {
  const inks = useInks();
  return (
    <>
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
      {countries.map(({ code, path }) => (
        <Path
          key={code}
          d={path}
          fill={fillOf(reach.get(code), marks)}
          stroke={inks.ground}
          strokeWidth={0.6 / zoom}
        />
      ))}
      {parts.map(({ code, path }) => (
        <Path
          key={code}
          d={path}
          fill={partFill(subdivisions.get(code), marks)}
          stroke={inks.ground}
          strokeWidth={0.3 / zoom}
        />
      ))}
    </>
  );
};

const Letters = ({ reach, subdivisions, marks, countries, parts, scale }: Drawing) => {
  const size = LETTER / scale;
  const inParts = new Set(parts.map(({ code }) => code.slice(0, 2)));
  const hasRoom =
    (from: number) =>
    ({ area }: Shape): boolean =>
      area * scale ** 2 >= from;
  const letterOf = (zone: string): string => marks.get(zone)?.letter ?? '';
  const letters = [
    ...countries
      .filter(
        (shape) => hasRoom(LETTER_FROM)(shape) && !inParts.has(shape.code) && reach.get(shape.code)?.sold,
      )
      .map((shape) => {
        const stands = reach.get(shape.code);
        return { ...shape, text: stands ? zonesDrawn(stands).map(letterOf).join(' ') : '' };
      }),
    ...lettered(parts, subdivisions)
      .filter(hasRoom(PART_LETTER_FROM))
      .map((shape) => ({ ...shape, text: letterOf(subdivisions.get(shape.code)?.zone?.id ?? '') })),
  ];
  return (
    <G>
      {letters.map(({ code, centre, text }) => (
        <SvgText
          key={code}
          x={centre[0]}
          y={centre[1] + size / 3}
          textAnchor="middle"
          fontFamily={SANS_STRONG}
          fontSize={size}
          fill={PAPER.ink}
        >
          {text}
        </SvgText>
      ))}
    </G>
  );
};

const Zooms = ({ view, setView }: { view: MapView; setView: (view: MapView) => void }) => {
  const button = (icon: string, label: string, next: MapView, disabled = false) => (
    <IconAction
      icon={icon}
      size={18}
      accessibilityLabel={label}
      disabled={disabled}
      onPress={() => setView(next)}
    />
  );
  return (
    <View style={{ flexDirection: 'row', justifyContent: 'flex-end' }}>
      {button('minus', t('Smaller'), zoomedView(view, 1 / 1.5, WIDTH, HEIGHT))}
      {button('plus', t('Larger'), zoomedView(view, 1.5, WIDTH, HEIGHT))}
      {button('close', t('The whole world'), WHOLE_WORLD, view.zoom === 1)}
    </View>
  );
};

/**
 * The world, each country in its zone's ink and letter, and where zones split a country, each of its
 * subdivisions; closed places are hatched, those that nothing ships to struck.
 */
const WorldMap = ({ title, byNumber, ...stands }: Props) => {
  const countries = useMemo(() => worldShapes(byNumber), [byNumber]);
  const parts = useParts(stands.split);
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
  const keys = { onKeyDown, tabIndex: 0 } as object;
  const scale = (Math.max(width, 1) / WIDTH) * view.zoom;
  const drawing = { ...stands, countries, parts, zoom: view.zoom, scale };
  return (
    <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      <View
        style={{ aspectRatio: WIDTH / HEIGHT }}
        role="img"
        aria-label={title}
        {...keys}
        {...pan.panHandlers}
      >
        <Svg width="100%" height={(width * HEIGHT) / WIDTH} viewBox={box} aria-hidden>
          <Fills {...drawing} />
          <Letters {...drawing} />
        </Svg>
      </View>
      <Zooms view={view} setView={setView} />
    </View>
  );
};

export default WorldMap;
