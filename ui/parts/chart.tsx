import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import Svg from 'react-native-svg';

interface Props {
  /** By which it is found when it is saved. */
  id?: string;
  /** In words, what the picture shows. */
  spoken: string;
  height: number;
  /** What is drawn in so many pixels of width; null where there is nothing to draw. */
  children: (width: number) => ReactNode;
}

/** A drawing as wide as there is room, which grows or shrinks as a whole where it is printed. */
export const Chart = ({ id, spoken, height, children }: Props) => {
  const [width, setWidth] = useState(0);
  const drawn = width > 0 ? children(width) : null;
  return (
    <View
      role="img"
      aria-label={spoken}
      style={{ height, alignSelf: 'stretch' }}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      {...(id === undefined ? {} : { nativeID: id })}
    >
      {drawn === null ? null : (
        <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
          {drawn}
        </Svg>
      )}
    </View>
  );
};
