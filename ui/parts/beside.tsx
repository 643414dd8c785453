import type { ReactNode } from 'react';
import { useWindowDimensions, View, type ViewStyle } from 'react-native';
import { BESIDE_WIDTH } from '../theme/tokens.ts';
import { useHasRoomBeside } from './use-room-beside.ts';

interface Props {
  children: ReactNode;
  /** What is opened, where it has room beside; null while nothing is. */
  panel: ReactNode;
}

const row = { flexDirection: 'row', alignItems: 'flex-start', gap: 28 } as const;
const main = { flexGrow: 1, flexShrink: 1, flexBasis: '58%', minWidth: 0 } as const;
const side = {
  position: 'sticky',
  top: 12,
  flexGrow: 1,
  flexBasis: BESIDE_WIDTH,
  minWidth: BESIDE_WIDTH,
  overflow: 'auto',
} as unknown as ViewStyle;

/** What is opened beside what it was opened from, which stays in view; on narrower windows the first alone. */
export const Beside = ({ children, panel }: Props) => {
  const hasRoom = useHasRoomBeside();
  const { height } = useWindowDimensions();
  const isBeside = hasRoom && panel !== null;
  return (
    <View style={isBeside ? row : null}>
      <View style={isBeside ? main : null}>{children}</View>
      {isBeside ? <View style={[side, { maxHeight: height - 24 }]}>{panel}</View> : null}
    </View>
  );
};
