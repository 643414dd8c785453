import { useContext } from 'react';
import { useWindowDimensions } from 'react-native';
import { BESIDE_FROM } from '../theme/tokens.ts';
import { ColumnWidth } from './column-width.ts';

/** Whether what is opened has room beside what it was opened from; never in what stands beside something itself. */
export const useHasRoomBeside = (): boolean => {
  const column = useContext(ColumnWidth);
  const { width } = useWindowDimensions();
  return column === null && width >= BESIDE_FROM;
};
