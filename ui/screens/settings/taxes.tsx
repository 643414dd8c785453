import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import { regionsText } from '../../../core/place/region-text.ts';
import type { Region } from '../../../core/model/place.ts';
import type { TaxRate } from '../../../core/model/tax.ts';
import { Check } from '../../parts/check.tsx';
import { NameField, PercentField } from '../../fields/kind-fields.tsx';
import { DraftField, type Read } from '../../fields/draft-field.tsx';
import { useWorldPlaces } from '../../places/places.ts';
import { readRegions } from '../../fields/place-readers.ts';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { edit } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { useAppDispatch } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { IconAction } from '../../parts/icon-action.tsx';
import { fieldsOf } from '../../fields/fields-of.ts';

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingVertical: 8 },
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'flex-end',
    gap: 12,
    paddingVertical: 10,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  name: { flexGrow: 1, flexBasis: 150 },
  region: { flexGrow: 1, flexBasis: 120 },
  points: { width: 76 },
});

const readRegion = (text: string, home: string | undefined): Read<Region> => {
  const read = readRegions(text, home);
  const [region, ...more] = read.ok ? read.value : [];
  if (!read.ok) return read;
  return region && more.length === 0
    ? { ok: true, value: region }
    : { ok: false, text: t('Write one place: CA, CA-NS, or codes as CA: X0A*.') };
};

/** On a wide page the labels stand over the first row only, as the headings of columns. */
const Tax = ({ tax, headed }: { tax: TaxRate; headed: boolean }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  // Regions may be written by name.
  useWorldPlaces();
  const { id, name } = tax;
  const home = useBookParts('locations').locations[0]?.address.country;
  const set = (changes: Partial<TaxRate>, what: string, visit: string | null = null): void => {
    dispatch(edit('setTax', { id, changes }, labelled(name, what), visit));
  };
  const field = fieldsOf(tax, set);
  const place = regionsText([tax.region]);
  const remove = (): void => {
    dispatch(edit('removeTax', { id }, t('Remove {name}', { name })));
    dispatch(undoMessage(t('Removed {name}, {place}.', { name, place })));
  };
  return (
    <View style={style.row} role="listitem" aria-label={`${name}, ${place}`}>
      <NameField hideLabel={!headed} style={style.name} label={t('Tax')} prose {...field('name')} />
      <DraftField
        hideLabel={!headed}
        style={style.region}
        label={t('Where')}
        text={place}
        read={(written) => readRegion(written, home)}
        onChange={(region, visit) => set({ region }, t('place'), visit)}
      />
      <PercentField
        right
        hideLabel={!headed}
        style={style.points}
        label="%"
        {...field('points', 'percentage')}
      />
      <Segments
        label={t('Charged on')}
        width={264}
        value={tax.on}
        onChange={(on) => set({ on }, t('what it is on'))}
        options={[
          { value: 'goods', label: t('products') },
          { value: 'charges', label: t('charges') },
          { value: 'both', label: t('both') },
        ]}
      />
      <IconAction
        icon="close"
        size={18}
        accessibilityLabel={t('Remove {name}, {place}', { name, place })}
        onPress={remove}
      />
    </View>
  );
};

/** The taxes on goods and on charges, by place; all that match an address add up. */
export const Taxes = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const isPhone = useWidth() === 'phone';
  const { taxes, store, locations } = useBookParts('taxes', 'store', 'locations');
  const add = (): void => {
    const country = locations[0]?.address.country ?? 'CA';
    const tax = { name: t('Tax'), region: { country }, points: 0, on: 'both' as const };
    dispatch(edit('addTax', { tax }, t('New tax')));
  };
  return (
    <View>
      <Text style={style.note}>
        {t('Every tax whose place includes the address applies; each is rounded, then they are added up.')}
      </Text>
      <Check
        label={t('Prices and charges include tax')}
        on={store.pricesIncludeTax}
        onPress={() =>
          dispatch(
            edit('setStore', { changes: { pricesIncludeTax: !store.pricesIncludeTax } }, t('Store: tax')),
          )
        }
      />
      <View role="list" aria-label={t('Taxes')}>
        {taxes.map((tax, at) => (
          <Tax key={tax.id} tax={tax} headed={at === 0 || isPhone} />
        ))}
      </View>
      <TextAction
        label={t('Add a tax')}
        style={{ alignSelf: 'flex-start', marginLeft: -4, marginTop: 4 }}
        onPress={add}
      />
    </View>
  );
};
