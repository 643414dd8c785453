import { useRef } from 'react';
import { View } from 'react-native';
import { t } from '../../../../core/translate/translate.ts';
import type { DeliveryArea, Position } from '../../../../core/model/delivery.ts';
import type { MapBook } from './map-book.ts';
import { edit } from '../../../state/draft.ts';
import { useAppDispatch } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { at, pointAt, type Plane } from './map-plane.ts';
import { useDrag } from './use-drag.ts';

interface Props {
  areas: MapBook['areas'];
  open: string | null;
  plane: Plane;
}

type Shape = Extract<DeliveryArea['covers'], { kind: 'shape' }>;

const REACH = 22;
const STEPS: Record<string, readonly [dx: number, dy: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
/** A shape has no fewer corners. */
export const LEAST_CORNERS = 3;

const styles = (inks: Inks) => ({
  hold: {
    position: 'absolute',
    width: REACH,
    height: REACH,
    alignItems: 'center',
    justifyContent: 'center',
  } as const,
  corner: { width: 12, height: 12, borderWidth: 2, borderColor: inks.ink, backgroundColor: inks.raised },
  between: {
    width: 8,
    height: 8,
    borderWidth: 1,
    borderColor: inks.ink,
    backgroundColor: inks.ground,
    borderRadius: 4,
  },
});

interface HandleProps {
  name: string;
  x: number;
  y: number;
  isCorner: boolean;
  onMove: (x: number, y: number) => void;
  onPress?: () => void;
  onDelete?: () => void;
}

/** One corner: it follows the mouse or the finger, and the arrow keys; with Shift ten times as far. */
const Handle = ({ name, x, y, isCorner, onMove, onPress, onDelete }: HandleProps) => {
  const style = useStyles(styles);
  const start = useRef({ x, y });
  const handlers = useDrag({
    from: 0,
    onStart: () => {
      start.current = { x, y };
      onPress?.();
    },
    onMove: (dx, dy) => {
      if (isCorner) onMove(start.current.x + dx, start.current.y + dy);
    },
  });
  const onKeyDown = (event: { key: string; shiftKey: boolean; preventDefault: () => void }): void => {
    const step = STEPS[event.key];
    if (step && isCorner) {
      event.preventDefault();
      const by = event.shiftKey ? 20 : 2;
      onMove(x + step[0] * by, y + step[1] * by);
    } else if ((event.key === 'Delete' || event.key === 'Backspace') && onDelete) {
      event.preventDefault();
      onDelete();
    } else if ((event.key === 'Enter' || event.key === ' ') && onPress) {
      event.preventDefault();
      onPress();
    }
  };
  const keys = { onKeyDown, tabIndex: 0 } as object;
  return (
    <View
      role="button"
      aria-label={name}
      style={[style.hold, { left: x - REACH / 2, top: y - REACH / 2 }]}
      {...keys}
      {...handlers}
    >
      <View style={isCorner ? style.corner : style.between} />
    </View>
  );
};

/** The corners of the open area's shape, to be moved, put in and taken out. */
export const ShapeHandles = ({ areas, open, plane }: Props) => {
  const dispatch = useAppDispatch();
  const area = areas.find(({ id }) => id === open);
  if (area?.covers.kind !== 'shape') return null;
  const { ring } = area.covers;
  const set = (next: Shape['ring'], visit: string | null): void => {
    const changes = { covers: { kind: 'shape' as const, ring: next } };
    dispatch(edit('setArea', { id: area.id, changes }, t('{area}: shape', { area: area.name }), visit));
  };
  const place = (corner: number) => (x: number, y: number) => {
    const { lat, lng } = pointAt(plane, x, y);
    set(
      ring.map((one, n): Position => (n === corner ? [lng, lat] : one)),
      `corner ${area.id} ${corner}`,
    );
  };
  const pixel = ([lng, lat]: Position): [number, number] => at(plane, { lat, lng });
  const remove = (corner: number): void => set([...ring.slice(0, corner), ...ring.slice(corner + 1)], null);
  const put = (after: number, x: number, y: number): void => {
    const { lat, lng } = pointAt(plane, x, y);
    set([...ring.slice(0, after + 1), [lng, lat], ...ring.slice(after + 1)], null);
  };
  return (
    <>
      {ring.map((corner, n) => {
        const [x, y] = pixel(corner);
        const [nextX, nextY] = pixel(ring[(n + 1) % ring.length] as Position);
        const middle = [(x + nextX) / 2, (y + nextY) / 2] as const;
        return (
          <Handle
            key={`between-${n}`}
            name={t('Between corner {corner} and the next: one more', { corner: n + 1 })}
            x={middle[0]}
            y={middle[1]}
            isCorner={false}
            onMove={() => undefined}
            onPress={() => put(n, ...middle)}
          />
        );
      })}
      {ring.map((corner, n) => {
        const [x, y] = pixel(corner);
        return (
          <Handle
            key={n}
            name={t('Corner {corner} of {area}', { corner: n + 1, area: area.name })}
            x={x}
            y={y}
            isCorner
            onMove={place(n)}
            {...(ring.length > LEAST_CORNERS ? { onDelete: () => remove(n) } : {})}
          />
        );
      })}
    </>
  );
};
