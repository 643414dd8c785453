import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { useInks } from '../../../theme/theme.ts';

const TALL = 8;

/** A gain to the right of a middle line, a loss to its left and hollow, so that neither needs colour to be told. */
export const MarginBar = ({
  margin,
  greatest,
  width,
}: {
  margin: number;
  greatest: number;
  width: number;
}) => {
  const inks = useInks();
  const middle = width / 2;
  const long = (Math.abs(margin) / greatest) * (middle - 1);
  const isLoss = margin < 0;
  return (
    <View aria-hidden style={{ height: TALL + 2 }}>
      <Svg width={width} height={TALL + 2}>
        <Line x1={middle} x2={middle} y1={0} y2={TALL + 2} stroke={inks.control} />
        <Rect
          x={isLoss ? middle - long : middle}
          y={1.5}
          width={Math.max(long, 0.5)}
          height={TALL - 1}
          fill={isLoss ? 'none' : inks.ink}
          stroke={isLoss ? inks.rubric : inks.ink}
        />
      </Svg>
    </View>
  );
};
