import { ProgressBar } from 'react-native-paper';
import type { ViewStyle } from 'react-native';
import { useInks } from '../theme/theme.ts';

interface Props {
  /** What is under way, for those who hear it. */
  label: string;
  /** How far it is, from 0 to 1. */
  share: number;
  style?: ViewStyle;
}

/** How far something is that takes its time. */
export const Progress = ({ label, share, style }: Props) => {
  const inks = useInks();
  return (
    <ProgressBar
      progress={share}
      color={inks.ink}
      aria-label={label}
      style={[{ backgroundColor: inks.hairline }, style]}
    />
  );
};
