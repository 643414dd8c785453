import { View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { useStyles } from '../theme/styles.ts';
import { TOUCH, type Inks } from '../theme/tokens.ts';
import { memoizedByLooks } from './memoized-by-looks.tsx';
import { Press } from './press.tsx';

interface Props {
  label: string;
  on: boolean;
  onPress: () => void;
}

const styles = (_: Inks) => ({
  press: { maxWidth: '100%' } as const,
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: TOUCH } as const,
  label: { flexShrink: 1 },
});

/** The box of something that is ticked or not; it is named and pressed by what it stands in. */
export const TickBox = ({ on }: { on: boolean }) => (
  <Icon source={on ? 'checkbox-marked' : 'checkbox-blank-outline'} size={20} />
);

/** Something that holds or does not. */
export const Check = memoizedByLooks(function Check({ label, on, onPress }: Props) {
  const style = useStyles(styles);
  return (
    <Press onPress={onPress} role="checkbox" aria-checked={on} aria-label={label} style={style.press}>
      <View style={style.row}>
        <TickBox on={on} />
        <Text style={style.label}>{label}</Text>
      </View>
    </Press>
  );
});
