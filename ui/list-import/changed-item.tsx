import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import { SANS_STRONG, type Inks } from '../theme/tokens.ts';

const styles = (inks: Inks) => ({
  item: { paddingVertical: 6, borderBottomWidth: 1, borderBottomColor: inks.hairline },
  note: note(inks),
  from: { textDecorationLine: 'line-through', color: inks.quiet } as const,
  to: { fontFamily: SANS_STRONG },
});

interface Props {
  name: string;
  /** What would change of it, as cells of a list; '' is an empty one. */
  fields: readonly { name: string; from: string; to: string }[];
}

/** One item of a list that would change: each of its fields as it is, struck out, and as it would be. */
export const ChangedItem = ({ name, fields }: Props) => {
  const style = useStyles(styles);
  return (
    <View role="listitem" style={style.item}>
      <Text>{name}</Text>
      {fields.map(({ name: field, from, to }) => (
        <Text key={field} style={style.note}>
          {field} {from === '' ? null : <Text style={[style.note, style.from]}>{from}</Text>}{' '}
          <Text style={[style.note, style.to]}>{to === '' ? 'none' : to}</Text>
        </Text>
      ))}
    </View>
  );
};

/** How many more there are than are shown. */
export const MoreItems = ({ count }: { count: number }) => {
  const style = useStyles(styles);
  return count > 0 ? <Text style={style.note}>{t('and {count} more', { count })}</Text> : null;
};
