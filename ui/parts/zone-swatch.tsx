import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { PAPER, SANS_STRONG } from '../theme/tokens.ts';
import type { ZoneMark } from '../theme/zone-marks.ts';

const style = {
  box: { width: 26, height: 22, alignItems: 'center', justifyContent: 'center', borderRadius: 2 },
  letter: { fontFamily: SANS_STRONG, fontSize: 12, lineHeight: 16, color: PAPER.ink },
} as const;

/** A zone's ink with its letter in it. */
export const ZoneSwatch = ({ mark }: { mark: ZoneMark | undefined }) => (
  <View style={[style.box, { backgroundColor: mark?.ink ?? 'transparent' }]} aria-hidden>
    <Text style={style.letter}>{mark?.letter ?? ''}</Text>
  </View>
);
