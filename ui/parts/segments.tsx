import { SegmentedButtons } from 'react-native-paper';
import { SANS_STRONG } from '../theme/tokens.ts';

interface Props<V extends string> {
  value: V;
  options: readonly { value: V; label: string }[];
  onChange: (value: V) => void;
  width?: number;
}

/** One of a few, side by side. */
export const Segments = <V extends string>({ value, options, onChange, width }: Props<V>) => (
  <SegmentedButtons
    density="small"
    value={value}
    onValueChange={(chosen) => onChange(chosen as V)}
    style={width === undefined ? undefined : { width, alignSelf: 'flex-end' }}
    buttons={options.map((option) => ({
      ...option,
      labelStyle: { fontFamily: SANS_STRONG, fontSize: 13, marginHorizontal: -12 },
      style: { minWidth: 0, borderRadius: 2 },
    }))}
  />
);
