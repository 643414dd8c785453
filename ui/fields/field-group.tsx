import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';

const styles = (inks: Inks) => ({
  group: { gap: 6 },
  fields: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 } as const,
  name: { ...note(inks), color: inks.ink },
});

/** Fields that belong together, under their name. */
export const FieldGroup = ({ name, children }: { name: string; children: ReactNode }) => {
  const style = useStyles(styles);
  return (
    <View style={style.group} role="group" aria-label={name}>
      <Text style={style.name}>{name}</Text>
      <View style={style.fields}>{children}</View>
    </View>
  );
};
