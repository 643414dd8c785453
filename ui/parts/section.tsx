import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { useStyles } from '../theme/styles.ts';
import type { Inks } from '../theme/tokens.ts';

const styles = (inks: Inks) => ({
  head: { paddingTop: 24, paddingBottom: 6, borderBottomWidth: 1, borderBottomColor: inks.ink },
});

/** The heading of a part of a page. */
export const Section = ({ title }: { title: string }) => {
  const style = useStyles(styles);
  return (
    <View style={style.head}>
      <Text variant="titleMedium" role="heading" aria-level={2}>
        {title}
      </Text>
    </View>
  );
};
