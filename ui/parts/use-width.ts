import { useContext } from 'react';
import { useWindowDimensions } from 'react-native';
import { MEDIUM_FROM, WIDE_FROM } from '../theme/tokens.ts';
import { ColumnWidth } from './column-width.ts';

export type Width = 'phone' | 'medium' | 'wide';

/** Which of the three layouts there is room for. */
export const useWidth = (): Width => {
  const column = useContext(ColumnWidth);
  const { width } = useWindowDimensions();
  if (column !== null) return column;
  if (width >= WIDE_FROM) return 'wide';
  return width >= MEDIUM_FROM ? 'medium' : 'phone';
};
