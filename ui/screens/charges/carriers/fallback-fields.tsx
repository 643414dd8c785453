import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { CarrierPrice, Fallback } from '../../../../core/model/price.ts';
import { MoneyField, OptionalNameField } from '../../../fields/kind-fields.tsx';
import { DraftField } from '../../../fields/draft-field.tsx';
import { optional, readWords } from '../../../fields/readers.ts';
import { Segments } from '../../../parts/segments.tsx';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';
import { fieldsOf } from '../../../fields/fields-of.ts';

interface Props {
  title: string;
  fallback: CarrierPrice['onError'];
  onChange: (fallback: CarrierPrice['onError'], visit: string | null) => void;
}

const styles = (inks: Inks) => ({
  all: { gap: 8 },
  head: { fontFamily: SANS_STRONG, fontSize: 13, lineHeight: 18 },
  note: note(inks),
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'flex-end' } as const,
  field: { width: 112 },
  name: { flexGrow: 1, flexBasis: 160 },
});

/** What stands in for the carrier's price, under which name and with which note. */
const ChargedFields = ({ charged, onChange }: { charged: Fallback; onChange: Props['onChange'] }) => {
  const style = useStyles(styles);
  const set = (changes: Partial<Fallback>, _: string, visit: string | null): void => {
    const { amount, per, label, note: words } = { ...charged, ...changes };
    const said = words === undefined ? {} : { note: words };
    onChange({ amount, per, ...(label === undefined ? {} : { label }), ...said }, visit);
  };
  const field = fieldsOf(charged, set);
  return (
    <View style={style.row}>
      <MoneyField right style={style.field} label={t('Amount')} {...field('amount')} />
      <Segments
        label={t('For each')}
        width={200}
        value={charged.per}
        onChange={(per) => set({ per }, t('per'), null)}
        options={[
          { value: 'order', label: t('order') },
          { value: 'parcel', label: t('parcel') },
        ]}
      />
      <OptionalNameField
        prose
        style={style.name}
        label={t('Under the name')}
        placeholder={t('the service’s')}
        {...field('label')}
      />
      <DraftField
        prose
        style={style.name}
        label={t('Note to customers')}
        placeholder={charged.label === undefined ? t('the service’s') : ''}
        text={charged.note ?? ''}
        read={optional<string>(readWords(2_000))}
        onChange={field('note').onChange}
      />
    </View>
  );
};

/** What is charged where the carrier's price cannot be had: an amount of the merchant's own, or the choice is withheld. */
export const FallbackFields = ({ title, fallback, onChange }: Props) => {
  const style = useStyles(styles);
  const charged = fallback === 'withhold' ? null : fallback;
  return (
    <View style={style.all} role="group" aria-label={title}>
      <Text style={style.head}>{title}</Text>
      <Segments
        hideLabel
        label={t('{title}: then', { title })}
        value={charged ? 'charge' : 'withhold'}
        onChange={(kind) =>
          onChange(kind === 'withhold' ? 'withhold' : (charged ?? { amount: 0, per: 'order' }), null)
        }
        options={[
          { value: 'withhold', label: t('Do not offer it') },
          { value: 'charge', label: t('Charge an amount') },
        ]}
      />
      {charged ? <ChargedFields charged={charged} onChange={onChange} /> : null}
      {charged?.amount === 0 ? (
        <Text style={style.note}>{t('With 0 the order ships free: write what it should cost.')}</Text>
      ) : null}
    </View>
  );
};
