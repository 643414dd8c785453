import { useWindowDimensions } from 'react-native';
import { MEDIUM_FROM, WIDE_FROM } from '../theme/tokens.ts';

export type Width = 'phone' | 'medium' | 'wide';

/** Which of the three layouts the window has room for. */
export const useWidth = (): Width => {
  const { width } = useWindowDimensions();
  if (width >= WIDE_FROM) return 'wide';
  return width >= MEDIUM_FROM ? 'medium' : 'phone';
};
