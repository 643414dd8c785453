import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Section } from '../parts/section.tsx';
import { Text } from 'react-native-paper';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';

const styles = (inks: Inks) => ({ all: { gap: 12 }, one: { gap: 4 }, note: note(inks) });

/** Some parts that belong together. */
export const Group = ({ title, children }: { title: string; children: ReactNode }) => {
  const style = useStyles(styles);
  return (
    <View style={style.all} role="group" aria-label={title}>
      <Section title={title} />
      {children}
    </View>
  );
};

/** A part in one state, under what state that is. */
export const Seen = ({ state, children }: { state: string; children: ReactNode }) => {
  const style = useStyles(styles);
  return (
    <View style={style.one}>
      <Text style={style.note}>{state}</Text>
      {children}
    </View>
  );
};
