import { useState } from 'react';
import { View } from 'react-native';
import { SegmentedButtons } from 'react-native-paper';
import { SANS_STRONG } from '../theme/tokens.ts';

interface Option<V extends string> {
  value: V;
  label: string;
}

interface Props<V extends string> {
  value: V;
  options: readonly Option<V>[];
  onChange: (value: V) => void;
  width?: number;
}

/** How wide a letter of a label is about, and what stands beside the label, in pixels. */
const LETTER = 7.4;
const BESIDE = 28;

/** The options in as many rows as let every label be read; all are as wide as the widest. */
export const rowsOf = <T extends { label: string }>(options: readonly T[], width: number): T[][] => {
  const widest = Math.max(...options.map(({ label }) => label.length * LETTER + BESIDE));
  const most = Math.min(options.length, Math.max(1, Math.floor(width / widest)));
  const each = Math.ceil(options.length / Math.ceil(options.length / most));
  return Array.from({ length: Math.ceil(options.length / each) }, (_, row) =>
    options.slice(row * each, (row + 1) * each),
  );
};

/** One of a few, side by side; in several rows where there is no room for all labels in one. */
export const Segments = <V extends string>({ value, options, onChange, width }: Props<V>) => {
  const [room, setRoom] = useState(Number.POSITIVE_INFINITY);
  return (
    <View
      style={[{ gap: 4 }, width === undefined ? null : { width, alignSelf: 'flex-end' }]}
      onLayout={({ nativeEvent: { layout } }) => setRoom(layout.width)}
    >
      {rowsOf(options, room).map((row) => (
        <SegmentedButtons
          key={row[0]?.value ?? ''}
          density="small"
          value={value}
          onValueChange={(chosen) => onChange(chosen as V)}
          buttons={row.map((option) => ({
            ...option,
            labelStyle: { fontFamily: SANS_STRONG, fontSize: 13, marginHorizontal: -12 },
            style: { minWidth: 0, borderRadius: 2 },
          }))}
        />
      ))}
    </View>
  );
};
