import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { DutyRules } from '../../../../core/model/tax.ts';
import { MoneyField } from '../../../fields/kind-fields.tsx';
import { DraftField } from '../../../fields/draft-field.tsx';
import { countryName } from '../../../../core/words/country-name.ts';
import { readCountries } from '../../../fields/place-readers.ts';
import { Section } from '../../../parts/section.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { edit } from '../../../state/draft.ts';
import { useAppDispatch } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { DutyRates } from './duty-rates.tsx';
import { fieldsOf } from '../../../fields/fields-of.ts';

type Changes = Partial<Omit<DutyRules, 'rates'>>;

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingTop: 12 },
  rows: { gap: 12, paddingTop: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  wide: { flexGrow: 1, flexBasis: 200 },
  field: { width: 160 },
});

const TERMS: Record<DutyRules['terms'], string> = {
  DAP: t('Delivered at place: the customer pays the import charges to the carrier on arrival.'),
  DDP: t('Delivered duty paid: the import charges are part of what is paid at checkout.'),
  both: t('Both are offered at checkout, and the customer chooses.'),
};
const SHOWN: Record<DutyRules['show'], string> = {
  amount: t('Customers see roughly how much it will be.'),
  mention: t('Customers read that charges may fall due, not how much.'),
  nothing: t('Customers are told nothing: they may be surprised, and refuse the parcel.'),
};

/** Import charges: who pays them, what the customer is told, and the rates by country and code of goods. */
const DutiesPart = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { duties } = useBookParts('duties');
  const set = (changes: Changes, visit: string | null = null): void =>
    void dispatch(edit('setDuties', { changes }, t('Import charges'), visit));
  const field = fieldsOf(duties, (changes, _, visit: string) => set(changes, visit));
  return (
    <View>
      <Text style={style.note}>
        {t(
          'What falls due when an order crosses a border: duty on the products, import tax on both. It applies to orders to every country except the home countries; collected orders have none.',
        )}
      </Text>
      <View style={style.rows}>
        <Segments
          label={t('Who pays import charges')}
          value={duties.terms}
          onChange={(terms) => set({ terms })}
          options={[
            { value: 'DAP', label: t('DAP, on arrival') },
            { value: 'DDP', label: t('DDP, prepaid') },
            { value: 'both', label: t('customer chooses') },
          ]}
        />
        <Text>{TERMS[duties.terms]}</Text>
        <Segments
          label={t('What the customer is told')}
          value={duties.show}
          onChange={(show) => set({ show })}
          options={[
            { value: 'amount', label: t('Say about how much') },
            { value: 'mention', label: t('Say that some may fall due') },
            { value: 'nothing', label: t('Say nothing') },
          ]}
        />
        <Text>{SHOWN[duties.show]}</Text>
        <View style={style.row}>
          <DraftField
            style={style.wide}
            label={t('Home countries: no border is crossed')}
            placeholder={t('none')}
            text={duties.homeCountries.map(countryName).join(', ')}
            read={readCountries}
            onChange={(homeCountries, visit) => set({ homeCountries }, visit)}
          />
          <MoneyField right style={style.field} label={t('Clearance fee')} {...field('clearanceFee')} />
        </View>
      </View>
      <Section title={t('Rates by country')} />
      <DutyRates rates={duties.rates} />
    </View>
  );
};
export default DutiesPart;
