import { Button, type ButtonProps } from 'react-native-paper';
import { useInks } from '../theme/theme.ts';
import { FINGER } from '../theme/tokens.ts';
import { memoizedByLooks } from './memoized-by-looks.tsx';

interface Props extends Omit<ButtonProps, 'mode' | 'compact' | 'children'> {
  label: string;
  /** The one main action of a page is in the second colour. */
  main?: boolean;
}

/** An action as a word. */
export const TextAction = memoizedByLooks(function TextAction({
  label,
  main = false,
  labelStyle,
  style,
  ...props
}: Props) {
  const inks = useInks();
  return (
    <Button
      mode="text"
      compact
      uppercase={false}
      rippleColor="transparent"
      textColor={main ? inks.rubric : inks.ink}
      labelStyle={[
        {
          marginHorizontal: 4,
          marginVertical: 11,
          fontSize: 13,
          lineHeight: 18,
          textDecorationLine: 'underline',
        },
        labelStyle,
      ]}
      style={[{ minWidth: FINGER, borderRadius: 2 }, style]}
      {...props}
    >
      {label}
    </Button>
  );
});
