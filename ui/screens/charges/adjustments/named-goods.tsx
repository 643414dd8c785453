import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { namesOf } from '../../../../core/words/names.ts';
import { Chooser } from '../../../parts/chooser.tsx';
import { selectCatalogue, selectGoods } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { IconAction } from '../../../parts/icon-action.tsx';

/** Goods as a rule names them: by their handling group, or one by one. */
export interface Named {
  groupIds?: string[] | undefined;
  skus?: string[] | undefined;
}

interface Props {
  label: string;
  named: Named;
  onChange: (named: Named) => void;
}

const row = { flexDirection: 'row', alignItems: 'center' } as const;

/** Which products a rule is about; groups and goods are found by name and taken out by their cross. */
export const NamedGoods = ({ label, named, onChange }: Props) => {
  const { groups } = useBookParts('groups');
  const { goods: all } = useAppSelector(selectCatalogue);
  const goods = useAppSelector(selectGoods);
  const { groupIds = [], skus = [] } = named;
  const put = (next: { groupIds: string[]; skus: string[] }): void =>
    onChange({
      ...(next.groupIds.length > 0 ? { groupIds: next.groupIds } : {}),
      ...(next.skus.length > 0 ? { skus: next.skus } : {}),
    });
  const add = (id: string): void => {
    const [kind, key] = [id.slice(0, 2), id.slice(2)];
    if (kind === 'g:') put({ groupIds: [...new Set([...groupIds, key])], skus });
    else put({ groupIds, skus: [...new Set([...skus, key])] });
  };
  const entries = [
    ...namesOf(groupIds, groups).map((name, at) => ({
      name,
      drop: () => put({ groupIds: groupIds.filter((_, i) => i !== at), skus }),
    })),
    ...skus.map((sku) => ({
      name: goods.get(sku)?.name ?? sku,
      drop: () => put({ groupIds, skus: skus.filter((one) => one !== sku) }),
    })),
  ];
  return (
    <View style={{ flexGrow: 1, gap: 2 }} role="group" aria-label={label}>
      {entries.map(({ name, drop }) => (
        <View style={row} key={name}>
          <Text style={{ flex: 1 }}>{name}</Text>
          <IconAction
            icon="close"
            size={18}
            accessibilityLabel={t('Remove {name}', { name })}
            onPress={drop}
          />
        </View>
      ))}
      <View style={{ flexDirection: 'row', maxWidth: 320 }}>
        <Chooser
          hideLabel
          label={t('{label}: add', { label })}
          chosen=""
          placeholder={t('Add a group or a product')}
          options={[
            ...groups.map(({ id, name }) => ({ id: `g:${id}`, name, note: t('group') })),
            ...all.map(({ sku, name }) => ({ id: `s:${sku}`, name, note: sku })),
          ]}
          onChoose={add}
        />
      </View>
    </View>
  );
};
