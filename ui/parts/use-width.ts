import { createContext, useContext } from 'react';
import { useWindowDimensions } from 'react-native';
import { BESIDE_FROM, MEDIUM_FROM, WIDE_FROM } from '../theme/tokens.ts';

export type Width = 'phone' | 'medium' | 'wide';

/** The width that a column of the page has room for, where it is less than the window's; null elsewhere. */
export const ColumnWidth = createContext<Width | null>(null);

/** Which of the three layouts there is room for. */
export const useWidth = (): Width => {
  const column = useContext(ColumnWidth);
  const { width } = useWindowDimensions();
  if (column !== null) return column;
  if (width >= WIDE_FROM) return 'wide';
  return width >= MEDIUM_FROM ? 'medium' : 'phone';
};

/** Whether what is opened has room beside what it was opened from. */
export const useHasRoomBeside = (): boolean => useWindowDimensions().width >= BESIDE_FROM;
