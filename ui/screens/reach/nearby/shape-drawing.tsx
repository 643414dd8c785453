import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import Svg, { Circle, Line, Polyline } from 'react-native-svg';
import { t } from '../../../../core/translate/translate.ts';
import type { Position } from '../../../../core/model/delivery.ts';
import { TextAction } from '../../../parts/text-action.tsx';
import { useInks } from '../../../theme/theme.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { at, pointAt, type Plane } from './map-plane.ts';
import { LEAST_CORNERS } from './shape-handles.tsx';
import { Actions } from '../../../parts/actions.tsx';

type Pixel = readonly [x: number, y: number];

/** How near to the first corner a press closes the shape, in pixels. */
const CLOSES_WITHIN = 14;
const ARM = 9;
const STEPS: Record<string, Pixel> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

const styles = (inks: Inks) => ({
  sheet: { position: 'absolute', top: 0, left: 0, right: 0, bottom: 0, cursor: 'pointer' } as const,
  note: note(inks),
});

const isNear = (a: Pixel, b: Pixel): boolean => Math.hypot(a[0] - b[0], a[1] - b[1]) <= CLOSES_WITHIN;
const within = (value: number, most: number): number => Math.min(Math.max(value, 0), most);

/** What has been drawn so far, the cross that the next corner goes to, and the line between. */
const Drawn = ({ plane, corners, cross }: { plane: Plane; corners: readonly Pixel[]; cross: Pixel }) => {
  const inks = useInks();
  const [first] = corners;
  const [x, y] = cross;
  return (
    <Svg width={plane.width} height={plane.height} aria-hidden pointerEvents="none">
      <Polyline
        points={[...corners, cross].map((corner) => corner.join()).join(' ')}
        fill={inks.ink}
        fillOpacity={0.08}
        stroke={inks.ink}
        strokeWidth={2}
      />
      {corners.map(([cx, cy], n) => (
        <Circle key={n} cx={cx} cy={cy} r={4} fill={inks.raised} stroke={inks.ink} strokeWidth={2} />
      ))}
      {first && corners.length >= LEAST_CORNERS ? (
        <Circle
          cx={first[0]}
          cy={first[1]}
          r={isNear(first, cross) ? CLOSES_WITHIN : 8}
          fill="none"
          stroke={inks.ink}
          strokeWidth={1}
        />
      ) : null}
      <Line x1={x - ARM} x2={x + ARM} y1={y} y2={y} stroke={inks.ink} strokeWidth={1} />
      <Line x1={x} x2={x} y1={y - ARM} y2={y + ARM} stroke={inks.ink} strokeWidth={1} />
    </Svg>
  );
};

/** A shape that is being drawn: the corners put so far, the cross that the next one goes to, and what moves them. */
export interface ShapeInHand {
  plane: Plane;
  corners: readonly Pixel[];
  cross: Pixel;
  isWhole: boolean;
  move: (cross: Pixel) => void;
  put: (pixel: Pixel) => void;
  back: () => void;
  close: () => void;
  giveUp: () => void;
}

/** Draws a shape on a plane; `onDrawn` has its corners, or null where it is given up. */
export const useShapeInHand = (plane: Plane, onDrawn: (ring: Position[] | null) => void): ShapeInHand => {
  const [corners, setCorners] = useState<readonly Position[]>([]);
  const [moved, setMoved] = useState<Pixel | null>(null);
  const pixels = corners.map(([lng, lat]): Pixel => at(plane, { lat, lng }));
  const isWhole = corners.length >= LEAST_CORNERS;
  const end = (ring: Position[] | null): void => {
    setCorners([]);
    setMoved(null);
    onDrawn(ring);
  };
  const close = (): void => {
    if (isWhole) end([...corners]);
  };
  return {
    plane,
    corners: pixels,
    cross: moved ?? [plane.width / 2, plane.height / 2],
    isWhole,
    close,
    move: ([x, y]) => setMoved([within(x, plane.width), within(y, plane.height)]),
    put: (pixel) => {
      setMoved(pixel);
      const [first] = pixels;
      if (first && isWhole && isNear(first, pixel)) return close();
      const { lat, lng } = pointAt(plane, ...pixel);
      setCorners([...corners, [lng, lat]]);
    },
    back: () => setCorners(corners.slice(0, -1)),
    giveUp: () => end(null),
  };
};

interface Pointed {
  nativeEvent: { offsetX: number; offsetY: number };
}
interface Keyed {
  key: string;
  shiftKey: boolean;
  preventDefault: () => void;
}

/** The sheet over the map on which a shape is drawn, by mouse, finger or keys. */
export const DrawingSheet = ({ shape }: { shape: ShapeInHand }) => {
  const style = useStyles(styles);
  const { plane, corners, cross, move, put, back, giveUp } = shape;
  const sheet = useRef<View>(null);
  useEffect(() => {
    const element = sheet.current as unknown as HTMLElement | null;
    element?.scrollIntoView?.({ block: 'center' });
    element?.focus?.({ preventScroll: true });
  }, []);
  const doneBy: Record<string, () => void> = {
    Enter: () => put(cross),
    ' ': () => put(cross),
    Backspace: back,
    Escape: giveUp,
  };
  const onKeyDown = (event: Keyed): void => {
    const way = STEPS[event.key];
    const by = event.shiftKey ? 40 : 8;
    const act = way ? () => move([cross[0] + way[0] * by, cross[1] + way[1] * by]) : doneBy[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };
  const handlers = {
    tabIndex: 0,
    onKeyDown,
    onClick: ({ nativeEvent: { offsetX, offsetY } }: Pointed) => put([offsetX, offsetY]),
    onMouseMove: ({ nativeEvent: { offsetX, offsetY } }: Pointed) => move([offsetX, offsetY]),
  } as object;
  return (
    <View
      ref={sheet}
      role="application"
      aria-label={t('Drawing a shape: arrow keys move the cross, Enter puts a corner')}
      style={style.sheet}
      {...handlers}
    >
      <Drawn plane={plane} corners={corners} cross={cross} />
    </View>
  );
};

/** What can be done with the shape in hand, below the map. */
export const DrawingActions = ({ shape }: { shape: ShapeInHand }) => {
  const style = useStyles(styles);
  const { corners, isWhole, close, back, giveUp } = shape;
  return (
    <View style={{ paddingTop: 8 }}>
      <Text style={style.note} aria-live="polite">
        {t(
          '{count, plural, one {# corner} other {# corners}}. Press where the corners are, and on the first again to close the shape.',
          { count: corners.length },
        )}
      </Text>
      <Actions>
        <TextAction label={t('Close the shape')} disabled={!isWhole} onPress={close} />
        <TextAction label={t('Take the last corner back')} disabled={corners.length === 0} onPress={back} />
        <TextAction label={t('Cancel drawing')} onPress={giveUp} />
      </Actions>
    </View>
  );
};
