import { useWindowDimensions } from 'react-native';
import { BESIDE_FROM } from '../theme/tokens.ts';

/** Whether what is opened has room beside what it was opened from. */
export const useHasRoomBeside = (): boolean => useWindowDimensions().width >= BESIDE_FROM;
