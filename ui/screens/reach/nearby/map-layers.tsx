import { memo } from 'react';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { NearbyCode } from '../../../../core/coverage/neighbourhood.ts';
import { distanceFigure, moneyFigure } from '../../../../core/words/figure.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useInks } from '../../../theme/theme.ts';
import { SANS_STRONG } from '../../../theme/tokens.ts';
import type { ZoneMark } from '../../../theme/zone-marks.ts';
import { placedLabels, type Label } from './map-labels.ts';
import type { MapBook } from './map-book.ts';
import { at, circlePath, type Plane, type Point } from './map-plane.ts';

/** What the layers of the map are drawn from. */
export interface Drawing {
  book: MapBook;
  codes: readonly NearbyCode[];
  marks: ReadonlyMap<string, ZoneMark>;
  /** The area that is open. */
  open: string | null;
  plane: Plane;
}

/** From how many metres to a pixel on the codes are written beside their marks. */
const CODES_UP_TO = 110;

const isSeen = ({ width, height }: Plane, x: number, y: number): boolean =>
  x >= 0 && y >= 0 && x <= width && y <= height;

/** Where a price by distance changes, about its location; the first ring has the price from the location on. */
const ringsOf = ({
  areas,
  locations,
}: MapBook): { key: string; centre: Point; metres: number; amount: number }[] =>
  areas.flatMap(({ id, price, locationId, covers }) => {
    const centre = locations.find((one) => one.id === locationId)?.address.point;
    if (!centre || price.kind !== 'steps' || price.basis !== 'distance') return [];
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

/** The locations; those where orders are collected are hollow. */
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
  const { decimals } = useAppSelector(selectDisplayFormat);
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

/** A round distance, as long as it is on the map. */
const Scale = ({ plane }: { plane: Plane }) => {
  const inks = useInks();
  const { units } = useAppSelector(selectDisplayFormat);
  const metres = scaleMetres(plane.view.metresAPixel, plane.width);
  const length = metres / plane.view.metresAPixel;
  const y = plane.height - 14;
  return (
    <G>
      <Rect x={6} y={y - 24} width={length + 14} height={32} fill={inks.raised} />
      <Line x1={12} x2={12 + length} y1={y} y2={y} stroke={inks.ink} strokeWidth={2} />
      <Line x1={12} x2={12} y1={y - 4} y2={y} stroke={inks.ink} strokeWidth={2} />
      <Line x1={12 + length} x2={12 + length} y1={y - 4} y2={y} stroke={inks.ink} strokeWidth={2} />
      <SvgText x={12} y={y - 8} fontFamily={SANS_STRONG} fontSize={11} fill={inks.ink}>
        {distanceFigure(metres, units)}
      </SvgText>
    </G>
  );
};

/** All that is drawn to scale; it is drawn again only when something of it is another. */
export const MapLayers = memo(({ coast, ...drawing }: Drawing & { coast: string }) => {
  const inks = useInks();
  const { width, height } = drawing.plane;
  return (
    <Svg width={width} height={height} aria-hidden>
      <Rect width={width} height={height} fill={inks.hairline} fillOpacity={0.55} />
      <Path d={coast} fill={inks.raised} stroke={inks.control} strokeWidth={1} />
      <Areas {...drawing} />
      <Rings {...drawing} />
      <Codes {...drawing} />
      <Places {...drawing} />
      <Words {...drawing} />
      <Scale plane={drawing.plane} />
    </Svg>
  );
});
MapLayers.displayName = 'MapLayers';
