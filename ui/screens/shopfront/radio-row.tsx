import { View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { Press } from '../../parts/press.tsx';
import { useStyles } from '../../theme/styles.ts';
import { TOUCH, type Inks } from '../../theme/tokens.ts';
import { shopStyles } from './shop-styles.ts';

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  line: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: TOUCH } as const,
});

/** One of a few, in the shopfront's look. */
export const RadioRow = ({ name, on, onPress }: { name: string; on: boolean; onPress: () => void }) => {
  const style = useStyles(styles);
  return (
    <Press role="radio" aria-checked={on} aria-label={name} onPress={onPress}>
      <View style={style.line}>
        <Icon source={on ? 'radiobox-marked' : 'radiobox-blank'} size={20} />
        <Text style={style.name}>{name}</Text>
      </View>
    </Press>
  );
};
