import { IconButton, type IconButtonProps } from 'react-native-paper';
import { FINGER } from '../theme/tokens.ts';
import { memoizedByLooks } from './memoized-by-looks.tsx';

/** An action as a sign, large enough for a finger whatever the size of the sign. */
export const IconAction = memoizedByLooks(function IconAction({ style, ...props }: IconButtonProps) {
  return (
    <IconButton style={[{ margin: 0, width: FINGER, height: FINGER, borderRadius: 2 }, style]} {...props} />
  );
});
