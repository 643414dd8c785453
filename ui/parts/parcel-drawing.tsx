import Svg, { Path, Polygon } from 'react-native-svg';
import type { Size } from '../../core/model/good.ts';
import { useInks } from '../theme/theme.ts';
import { SORT_INKS } from '../theme/zone-marks.ts';
import { parcelView, type Face, type Standing } from './parcel-view.ts';

interface Props {
  box: Size;
  cuboids: readonly Standing[];
  /** Pixels to the millimetre: pictures that stand together are of one scale. */
  scale: number;
  /** In words, what the picture shows. */
  label: string;
}

const SHADE: Record<Face['side'], number> = { top: 0.95, left: 0.75, right: 0.55 };
const MARGIN = 2;

/** A box in three-quarter view, to scale, with what lies where. */
export const ParcelDrawing = ({ box, cuboids, scale, label }: Props) => {
  const inks = useInks();
  const view = parcelView(box, cuboids, scale);
  const viewBox = `${-MARGIN} ${-MARGIN} ${view.width + 2 * MARGIN} ${view.height + 2 * MARGIN}`;
  return (
    <Svg
      width={view.width + 2 * MARGIN}
      height={view.height + 2 * MARGIN}
      viewBox={viewBox}
      role="img"
      aria-label={label}
    >
      <Path d={view.back} stroke={inks.control} strokeWidth={1} strokeDasharray="3 3" fill="none" />
      {view.faces.map(({ points, side, sort }, at) => (
        <Polygon
          key={at}
          points={points}
          fill={SORT_INKS[sort % SORT_INKS.length]}
          fillOpacity={SHADE[side]}
          stroke={inks.ink}
          strokeWidth={0.75}
          strokeLinejoin="round"
        />
      ))}
      <Path d={view.front} stroke={inks.ink} strokeWidth={1} fill="none" />
    </Svg>
  );
};
