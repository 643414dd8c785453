import { useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useInks } from '../../../theme/theme.ts';
import { useStyles } from '../../../theme/styles.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';
import { landPath } from './coast.ts';
import { at, planeOf, viewOfPoints, type Point } from './map-plane.ts';
import { useLand } from './use-land.ts';

interface Props {
  start: Point;
  stops: readonly Point[];
  title: string;
}

const HEIGHT = 300;

const styles = (inks: Inks) => ({
  map: { borderWidth: 1, borderColor: inks.hairline, height: HEIGHT + 2, marginTop: 8 },
});

/** A round on the map: the way past the stops, numbered in their order. */
const RoundMap = ({ start, stops, title }: Props) => {
  const style = useStyles(styles);
  const inks = useInks();
  const [width, setWidth] = useState(0);
  const plane = useMemo(
    () => planeOf(viewOfPoints([start, ...stops], width, HEIGHT), width, HEIGHT),
    [start, stops, width],
  );
  const land = useLand();
  const coast = useMemo(() => (width > 0 ? landPath(land, plane) : ''), [land, plane, width]);
  const way = [start, ...stops, start].map((point) => at(plane, point).join()).join('L');
  const [homeX, homeY] = at(plane, start);
  return (
    <View
      style={style.map}
      role="img"
      aria-label={title}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width - 2)}
    >
      <Svg width={width} height={HEIGHT} aria-hidden>
        <Rect width={width} height={HEIGHT} fill={inks.hairline} fillOpacity={0.55} />
        <Path d={coast} fill={inks.raised} stroke={inks.control} strokeWidth={1} />
        <Path d={`M${way}`} fill="none" stroke={inks.ink} strokeWidth={2} strokeLinejoin="round" />
        <Rect x={homeX - 7} y={homeY - 7} width={14} height={14} fill={inks.ink} />
        {stops.map((point, n) => {
          const [x, y] = at(plane, point);
          return (
            <G key={n}>
              <Circle cx={x} cy={y} r={10} fill={inks.raised} stroke={inks.ink} strokeWidth={2} />
              <SvgText
                x={x}
                y={y + 4}
                textAnchor="middle"
                fontFamily={SANS_STRONG}
                fontSize={12}
                fill={inks.ink}
              >
                {n + 1}
              </SvgText>
            </G>
          );
        })}
      </Svg>
    </View>
  );
};
export default RoundMap;
