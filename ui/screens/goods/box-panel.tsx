import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Box } from '../../../core/model/pack.ts';
import { MeasureField, NameField, OptionalMoneyField, SizeField } from '../../fields/kind-fields.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { edit } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { useAppDispatch } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { fieldsOf } from '../../fields/fields-of.ts';

const styles = (inks: Inks) => ({
  all: { gap: 12, paddingBottom: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  name: { flexGrow: 1, flexBasis: 200 },
  field: { width: 132 },
  size: { width: 200 },
  note: note(inks),
});

/** One box: its name, inside, greatest weight of contents, own weight and cost. */
export const BoxPanel = ({ box }: { box: Box }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { store, carriers } = useBookParts('store', 'carriers');
  const { id, name } = box;
  const set = (changes: Partial<Omit<Box, 'id'>>, visit: string): void =>
    void dispatch(edit('setBox', { id, changes }, t('Box, {name}', { name }), visit));
  const field = fieldsOf(box, (changes, _, visit: string) => set(changes, visit));
  const remove = (): void => {
    dispatch(edit('removeBox', { id }, t('Remove {name}', { name })));
    dispatch(undoMessage(t('Removed {name}.', { name })));
  };
  const users = [
    ...(store.packing.kind === 'boxes' && store.packing.boxIds.includes(id) ? [t('the store')] : []),
    ...carriers.flatMap(({ name: account, packing }) =>
      packing.kind === 'boxes' && packing.boxIds.includes(id) ? [account] : [],
    ),
  ];
  return (
    <View style={style.all} role="group" aria-label={name}>
      <View style={style.row}>
        <NameField prose style={style.name} label={t('Name')} {...field('name')} />
        <SizeField style={style.size} label={t('Inside: length, width, height')} {...field('inside')} />
      </View>
      <View style={style.row}>
        <MeasureField
          right
          style={style.field}
          label={t('Holds at most')}
          {...field('maxWeight')}
          measure="weight"
        />
        <MeasureField
          right
          style={style.field}
          label={t('Empty weight')}
          {...field('tare')}
          measure="weight"
        />
        <OptionalMoneyField
          right
          style={style.field}
          label={t('Costs')}
          placeholder={t('nothing')}
          {...field('cost')}
        />
      </View>
      <Text style={style.note}>
        {users.length > 0
          ? t('Packed into by {list}.', { list: users.join(', ') })
          : t('No plan packs into it: tick it under an account, or under Settings.')}
      </Text>
      <TextAction
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        label={t('Remove {name}', { name })}
        onPress={remove}
      />
    </View>
  );
};
