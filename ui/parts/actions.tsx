import { View, type ViewProps } from 'react-native';

const row = { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginLeft: -4 } as const;

/** What can be done, side by side; their words stand in line with the text above. */
export const Actions = ({ style, ...more }: ViewProps) => <View {...more} style={[row, style]} />;
