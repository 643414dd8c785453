import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Price } from '../../../core/model/price.ts';
import { Chooser } from '../../parts/chooser.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { useInks } from '../../theme/theme.ts';
import { note } from '../../theme/text.ts';
import { useBookParts } from '../../state/use-book-parts.ts';

interface Props {
  price: Extract<Price, { kind: 'table' }>;
  onChange: (price: Price, visit: string | null) => void;
}

/** The table that a rate is priced by. */
export const TableFields = ({ price, onChange }: Props) => {
  const router = useRouter();
  const quiet = note(useInks());
  const { rateTables } = useBookParts('rateTables');
  const table = rateTables.find(({ id }) => id === price.tableId);
  return (
    <View style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', maxWidth: 300 }}>
        <Chooser
          label={t('Priced by the table')}
          chosen={table?.name ?? ''}
          options={rateTables.map(({ id, name, rows }) => ({
            id,
            name,
            note: t('{count, plural, one {# row} other {# rows}}', { count: rows.length }),
          }))}
          onChoose={(tableId) => onChange({ kind: 'table', tableId }, null)}
        />
      </View>
      <Text style={quiet}>
        {t('By {basis}. A place or a range without a row is not offered, never free.', {
          basis: table?.basis ?? 'weight',
        })}
      </Text>
      <TextAction
        label={t('Go to the table')}
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        onPress={() =>
          router.navigate({ pathname: '/charges', params: { part: 'tables', table: price.tableId } })
        }
      />
    </View>
  );
};
