import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import type { Inks } from '../theme/tokens.ts';

const styles = (inks: Inks) => ({
  bar: { paddingHorizontal: 20, paddingVertical: 8, borderBottomWidth: 1, borderBottomColor: inks.rubric },
  text: { color: inks.rubric, fontSize: 13, lineHeight: 18 },
});

/** Says when work is not being kept, and what was set aside when the program opened. */
export const StorageBar = () => {
  const style = useStyles(styles);
  const { state, reason, setAside } = useAppSelector((all) => all.storage);
  const lines = [
    ...(state === 'failed'
      ? [`Your changes are not being kept on this device (${reason}). It is being tried again.`]
      : []),
    ...(setAside.length > 0
      ? [`What was kept could not be read and was set aside, not overwritten: ${setAside.join(', ')}.`]
      : []),
  ];
  if (lines.length === 0) return null;
  return (
    <View style={style.bar} role="alert">
      {lines.map((line) => (
        <Text key={line} style={style.text}>
          {line}
        </Text>
      ))}
    </View>
  );
};
