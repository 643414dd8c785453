import { View } from 'react-native';
import { t } from '../../core/translate/translate.ts';
import { labelled } from '../../core/words/labelled.ts';
import type { QuoteRequest } from '../../core/model/request.ts';
import type { TestOrder } from '../../core/model/test-order.ts';
import { DraftField, type Read } from '../fields/draft-field.tsx';
import { optional } from '../fields/readers.ts';
import { edit } from '../state/draft.ts';
import { useAppDispatch } from '../state/store.ts';

type Field = 'customer' | 'code' | 'channel';
const FIELDS: { field: Field; label: string }[] = [
  { field: 'customer', label: t('Customer group') },
  { field: 'code', label: t('Code') },
  { field: 'channel', label: t('Channel') },
];

const readToken = (text: string): Read<string> =>
  text.trim().length <= 120
    ? { ok: true, value: text.trim() }
    : { ok: false, text: t('At most 120 characters.') };

/** Who places the test order's order, with what code, and through which channel. */
export const CustomerEditor = ({ testOrder }: { testOrder: TestOrder }) => {
  const dispatch = useAppDispatch();
  const { id, name, request } = testOrder;
  const set = (changes: Partial<QuoteRequest>, what: string, visit: string): void =>
    void dispatch(edit('setRequest', { id, changes }, labelled(name, what), visit));
  return (
    <View style={{ flexDirection: 'row', gap: 12 }}>
      {FIELDS.map(({ field, label }) => (
        <DraftField
          key={field}
          style={{ flex: 1, minWidth: 0 }}
          label={label}
          prose
          placeholder={t('none')}
          text={request[field] ?? ''}
          read={optional<string>(readToken)}
          onChange={(value, visit) => set({ [field]: value }, label.toLowerCase(), visit)}
        />
      ))}
    </View>
  );
};
