import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Book } from '../../../../core/model/book.ts';
import type { NearbyCode } from '../../../../core/reach/neighbourhood.ts';
import { distanceFigure, moneyFigure } from '../../../../core/words/figure.ts';
import { selectSpeech } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useInks } from '../../../theme/theme.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';
import type { ZoneMark } from '../../../theme/zone-marks.ts';
import { landPath } from './coast.ts';
import {
  at,
  circlePath,
  moved,
  planeOf,
  viewOfPoints,
  wholeView,
  zoomed,
  type NearView,
  type Plane,
  type Point,
} from './map-plane.ts';
import { placedLabels, type Label } from './map-labels.ts';
import { useDrag } from './use-drag.ts';
import { useLand } from './use-land.ts';
import { ShapeHandles } from './shape-handles.tsx';

interface Props {
  book: Book;
  codes: readonly NearbyCode[];
  marks: ReadonlyMap<string, ZoneMark>;
  /** The area whose shape can be moved. */
  open: string | null;
  title: string;
}

const styles = (inks: Inks) => ({
  map: { borderWidth: 1, borderColor: inks.hairline, overflow: 'hidden' } as const,
  foot: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' } as const,
  note: note(inks),
});

/** From how many metres to a pixel on the codes are written beside their marks. */
const CODES_UP_TO = 110;
const MAP_RATIO = 0.72;
const TALLEST = 460;

const isSeen = ({ width, height }: Plane, x: number, y: number): boolean =>
  x >= 0 && y >= 0 && x <= width && y <= height;

/** Where a price by distance changes, about its location; the first ring has the price from the location on. */
const ringsOf = ({
  areas,
  locations,
}: Book): { key: string; centre: Point; metres: number; amount: number }[] =>
  areas.flatMap(({ id, price, locationId, covers }) => {
    const centre = locations.find((one) => one.id === locationId)?.address.point;
    if (!centre || price.kind !== 'tiers' || price.basis !== 'distance') return [];
    const steps = [...price.steps].sort((a, b) => a.from - b.from);
    const end = covers.kind === 'radius' ? covers.metres : undefined;
    return steps.flatMap(({ from, amount }, n) => {
      const metres = steps[n + 1]?.from ?? end;
      return metres === undefined || metres <= from ? [] : [{ key: `${id}-${from}`, centre, metres, amount }];
    });
  });

const marksOf = ({ book, codes, plane }: Drawing): [number, number][] => [
  ...book.locations.flatMap(({ address }) => (address.point ? [at(plane, address.point)] : [])),
  ...codes.map(({ postal }) => at(plane, postal.point)),
];

const around = ([x, y]: readonly [number, number], width: number): [number, number][] => [
  [x + 10, y + 4],
  [x - 10 - width, y + 4],
  [x - width / 2, y - 12],
  [x - width / 2, y + 22],
];

const labelsOf = ({ book, codes, marks, plane }: Drawing, decimals: number): Label[] => {
  const isNear = plane.view.metresAPixel <= CODES_UP_TO;
  const seen = codes.filter(({ postal }) => isNear && isSeen(plane, ...at(plane, postal.point)));
  return [
    ...book.locations.flatMap(({ id, name, address }): Label[] =>
      address.point
        ? [
            {
              key: id,
              text: name,
              size: 13,
              isNeeded: true,
              places: around(at(plane, address.point), name.length * 8),
            },
          ]
        : [],
    ),
    ...ringsOf(book).map(({ key, centre, metres, amount }): Label => {
      const [x, y] = at(plane, centre);
      const text = moneyFigure(amount, decimals);
      const top = y + metres / plane.view.metresAPixel - 6;
      return { key, text, size: 12, isNeeded: false, places: [[x - text.length * 3.6, top]] };
    }),
    ...seen.map(({ postal, takes }): Label => {
      const letter = takes[0] ? ` ${marks.get(takes[0].id)?.letter ?? ''}` : '';
      const [x, y] = at(plane, postal.point);
      const text = `${postal.code}${letter}`;
      return {
        key: postal.code,
        text,
        size: 11,
        isNeeded: false,
        places: [
          [x + 8, y + 4],
          [x - 8 - text.length * 7, y + 4],
        ],
      };
    }),
  ];
};

/** A round distance that is about a fifth of the map's width. */
const scaleMetres = (metresAPixel: number, width: number): number => {
  const about = (metresAPixel * width) / 5;
  const power = 10 ** Math.floor(Math.log10(about));
  const round = [1, 2, 5, 10].find((one) => one * power >= about) ?? 10;
  return round * power;
};

type Drawing = Pick<Props, 'book' | 'codes' | 'marks' | 'open'> & { plane: Plane };

/** The areas that are drawn: radii as rings, shapes as they are; the open one under a heavier line. */
const Areas = ({ book, marks, open, plane }: Drawing) => {
  const inks = useInks();
  return (
    <G>
      {book.areas.map(({ id, active, covers, locationId }) => {
        const point = book.locations.find((one) => one.id === locationId)?.address.point;
        const ring = covers.kind === 'shape' ? covers.ring.map(([lng, lat]) => at(plane, { lat, lng })) : [];
        const path =
          covers.kind === 'radius' && point
            ? circlePath(plane, point, covers.metres)
            : ring.length > 0
              ? `M${ring.map((corner) => corner.join()).join('L')}Z`
              : '';
        if (path === '') return null;
        return (
          <Path
            key={id}
            d={path}
            fill={marks.get(id)?.ink ?? 'none'}
            fillOpacity={0.22}
            stroke={inks.ink}
            strokeWidth={id === open ? 2 : 1}
            strokeDasharray={active ? undefined : '4 4'}
          />
        );
      })}
    </G>
  );
};

/** The rings at which a price by distance changes. */
const Rings = ({ book, plane }: Drawing) => {
  const inks = useInks();
  return (
    <G>
      {ringsOf(book).map(({ key, centre, metres }) => (
        <Path
          key={key}
          d={circlePath(plane, centre, metres)}
          fill="none"
          stroke={inks.quiet}
          strokeWidth={1}
          strokeDasharray="2 3"
        />
      ))}
    </G>
  );
};

/** Postal areas as marks in the ink of the area that takes them; those that nothing covers are empty. */
const Codes = ({ codes, marks, plane }: Drawing) => {
  const inks = useInks();
  return (
    <G>
      {codes.map(({ postal, takes, also }) => {
        const [x, y] = at(plane, postal.point);
        const [first] = takes;
        const ink = first ? (marks.get(first.id)?.ink ?? inks.control) : inks.ground;
        return isSeen(plane, x, y) ? (
          <Circle
            key={postal.code}
            cx={x}
            cy={y}
            r={5}
            fill={ink}
            stroke={inks.ink}
            strokeWidth={also.length > 0 ? 2.5 : 1}
          />
        ) : null;
      })}
    </G>
  );
};

const Places = ({ book, plane }: Drawing) => {
  const inks = useInks();
  return (
    <G>
      {book.locations.map(({ id, address }) => {
        if (!address.point) return null;
        const [x, y] = at(plane, address.point);
        const collects = book.pickups.some((point) => point.active && point.locationId === id);
        return (
          <G key={id}>
            <Rect x={x - 6} y={y - 6} width={12} height={12} fill={inks.ink} />
            {collects ? <Rect x={x - 3} y={y - 3} width={6} height={6} fill={inks.ground} /> : null}
          </G>
        );
      })}
    </G>
  );
};

/** The words of the map, where they have room: locations, prices of rings, codes. */
const Words = (drawing: Drawing) => {
  const inks = useInks();
  const { decimals } = useAppSelector(selectSpeech);
  const placed = placedLabels(labelsOf(drawing, decimals), marksOf(drawing));
  return (
    <G>
      {placed.map(({ key, text, size, x, y }) => (
        <SvgText
          key={key}
          x={x}
          y={y}
          fontFamily={SANS_STRONG}
          fontSize={size}
          fill={inks.ink}
          stroke={inks.raised}
          strokeWidth={3}
          strokeLinejoin="round"
          {...({ paintOrder: 'stroke' } as object)}
        >
          {text}
        </SvgText>
      ))}
    </G>
  );
};

const Scale = ({ plane }: { plane: Plane }) => {
  const inks = useInks();
  const { units } = useAppSelector(selectSpeech);
  const metres = scaleMetres(plane.view.metresAPixel, plane.width);
  const length = metres / plane.view.metresAPixel;
  const y = plane.height - 14;
  return (
    <G>
      <Rect x={6} y={y - 24} width={length + 14} height={32} fill={inks.raised} fillOpacity={0.9} />
      <Line x1={12} x2={12 + length} y1={y} y2={y} stroke={inks.ink} strokeWidth={2} />
      <Line x1={12} x2={12} y1={y - 4} y2={y} stroke={inks.ink} strokeWidth={2} />
      <Line x1={12 + length} x2={12 + length} y1={y - 4} y2={y} stroke={inks.ink} strokeWidth={2} />
      <SvgText x={12} y={y - 8} fontFamily={SANS_STRONG} fontSize={11} fill={inks.ink}>
        {distanceFigure(metres, units)}
      </SvgText>
    </G>
  );
};

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
    <IconButton
      icon={icon}
      size={18}
      accessibilityLabel={label}
      style={{ margin: 0 }}
      onPress={() => setView(next)}
    />
  );
  return (
    <View style={{ flexDirection: 'row' }}>
      {button('minus', 'Smaller', zoomed(view, 1 / 1.5))}
      {button('plus', 'Larger', zoomed(view, 1.5))}
      {button('close', 'The whole neighbourhood', whole)}
    </View>
  );
};

/** The neighbourhood to scale: coast, postal areas, locations, and what is delivered to. */
const NearbyMap = ({ title, ...stands }: Props) => {
  const style = useStyles(styles);
  const inks = useInks();
  const [width, setWidth] = useState(0);
  const height = Math.min(TALLEST, Math.round(width * MAP_RATIO));
  const whole = useMemo(
    () => wholeView(stands.book, Math.max(width, 1), Math.max(height, 1)),
    [stands.book, width, height],
  );
  const [chosen, setView] = useState<NearView | null>(null);
  // What the map opened with stays, however areas are moved on it.
  const first = useRef<NearView | null>(null);
  if (width > 0) first.current ??= whole;
  const view = chosen ?? first.current ?? whole;
  const { open, book } = stands;
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
  const plane = useMemo(() => planeOf(view, width, height), [view, width, height]);
  const land = useLand();
  const coast = useMemo(() => (width > 0 ? landPath(land, plane) : ''), [land, plane, width]);
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
  const keys = { onKeyDown, tabIndex: 0 } as object;
  const drawing = { ...stands, plane };
  return (
    <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width - 2)}>
      <View style={[style.map, { height: height + 2 }]}>
        <View role="img" aria-label={title} {...keys} {...pan}>
          <Svg width={width} height={height} aria-hidden>
            <Rect width={width} height={height} fill={inks.hairline} fillOpacity={0.55} />
            <Path d={coast} fill={inks.raised} stroke={inks.control} strokeWidth={1} />
            <Areas {...drawing} />
            <Rings {...drawing} />
            <Codes {...drawing} />
            <Places {...drawing} />
            <Words {...drawing} />
            <Scale plane={plane} />
          </Svg>
        </View>
        <ShapeHandles areas={stands.book.areas} open={stands.open} plane={plane} />
      </View>
      <View style={style.foot}>
        <Text style={style.note}>Marks are the middles of postal areas; a filled one is delivered to.</Text>
        <Zooms view={view} whole={whole} setView={setView} />
      </View>
    </View>
  );
};
export default NearbyMap;
