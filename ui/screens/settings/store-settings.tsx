import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Handling } from '../../../core/model/price.ts';
import type { Store } from '../../../core/model/store.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { Check } from '../../parts/check.tsx';
import { Chooser } from '../../parts/chooser.tsx';
import {
  DateField,
  NameField,
  OptionalMeasureField,
  OptionalMoneyField,
  OptionalPercentField,
  WordsField,
} from '../../fields/kind-fields.tsx';
import { DraftField } from '../../fields/draft-field.tsx';
import { optional, readDate, readMoney } from '../../fields/readers.ts';
import { Segments } from '../../parts/segments.tsx';
import { useToday } from '../../time/use-today.ts';
import { CURRENCIES, currencyName, TIME_ZONES } from '../../places/money-and-time.ts';
import { PackingFields } from '../../fields/packing-fields.tsx';
import { edit } from '../../state/draft.ts';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { fieldsOf } from '../../fields/fields-of.ts';

const styles = (inks: Inks) => ({
  all: { gap: 14, paddingTop: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  field: { width: 168 },
  chooser: { width: 230, flexDirection: 'row' } as const,
  note: note(inks),
});

type SetStore = (changes: Partial<Store>, what: string, visit?: string | null) => void;

const useSetStore = (): SetStore => {
  const dispatch = useAppDispatch();
  return (changes, what, visit = null) =>
    dispatch(edit('setStore', { changes }, t('Store: {what}', { what }), visit));
};

const Place = ({ store }: { store: Store }) => {
  const style = useStyles(styles);
  const set = useSetStore();
  const field = fieldsOf(store, set);
  return (
    <>
      <NameField label={t('Name of the shop')} prose {...field('name')} />
      <View style={style.row}>
        <View style={style.chooser}>
          <Chooser
            label={t('Currency')}
            chosen={`${currencyName(store.currency)}, ${store.currency}`}
            options={CURRENCIES}
            onChoose={(currency) => set({ currency }, t('currency'))}
          />
        </View>
        <View style={style.chooser}>
          <Chooser
            label={t('Time zone')}
            chosen={store.timeZone}
            options={TIME_ZONES}
            onChoose={(timeZone) => set({ timeZone }, t('time zone'))}
          />
        </View>
        <Segments
          label={t('Weights and sizes')}
          width={220}
          value={store.units}
          onChange={(units) => set({ units }, t('units'))}
          options={[
            { value: 'metric', label: t('kg and cm') },
            { value: 'imperial', label: t('lb and in') },
          ]}
        />
      </View>
      <Text style={style.note}>{t('Another currency converts nothing: 9.50 stays 9.50.')}</Text>
    </>
  );
};

const StoreHandling = ({ store }: { store: Store }) => {
  const style = useStyles(styles);
  const set = useSetStore();
  const { handling } = store;
  const change = (changes: Partial<Handling>, visit: string | null): void => {
    const next: Handling = { per: 'order', ...handling, ...changes };
    const nothing = next.amount === undefined && next.points === undefined;
    set({ handling: nothing ? undefined : next }, t('handling'), visit);
  };
  return (
    <View style={style.row} role="group" aria-label={t('Handling on every shipping charge')}>
      <OptionalMoneyField
        right
        style={style.field}
        label={t('Handling on every charge')}
        placeholder={t('none')}
        value={handling?.amount}
        onChange={(amount, visit) => change({ amount }, visit)}
      />
      <OptionalPercentField
        right
        style={style.field}
        label={t('and % of the charge')}
        placeholder={t('none')}
        value={handling?.points}
        onChange={(points, visit) => change({ points }, visit)}
      />
      {handling?.amount === undefined ? null : (
        <Segments
          label={t('Handling for each')}
          width={280}
          value={handling.per}
          onChange={(per) => change({ per }, null)}
          options={[
            { value: 'order', label: t('order') },
            { value: 'parcel', label: t('parcel') },
            { value: 'unit', label: t('unit') },
          ]}
        />
      )}
    </View>
  );
};

const Figures = ({ store }: { store: Store }) => {
  const style = useStyles(styles);
  const set = useSetStore();
  const field = fieldsOf(store, set);
  const display = useAppSelector(selectDisplayFormat);
  const { rounding } = store;
  const mode = rounding === 'none' ? 'nearest' : rounding.mode;
  return (
    <View style={style.row}>
      <DraftField
        right
        style={style.field}
        label={t('Round charges to')}
        placeholder={t('no rounding')}
        text={rounding === 'none' ? '' : moneyFigure(rounding.to, display.decimals)}
        read={optional<number>((text) => {
          const to = readMoney(display)(text);
          return to.ok && to.value === 0 ? { ok: false, text: t('This must be more than 0.') } : to;
        })}
        onChange={(to, visit) =>
          set({ rounding: to === undefined ? 'none' : { to, mode } }, t('rounding'), visit)
        }
      />
      {rounding === 'none' ? null : (
        <Segments
          label={t('Rounding')}
          width={200}
          value={mode}
          onChange={(next) => set({ rounding: { ...rounding, mode: next } }, t('rounding'))}
          options={[
            { value: 'nearest', label: t('nearest') },
            { value: 'up', label: t('upwards') },
          ]}
        />
      )}
      <OptionalMeasureField
        style={style.field}
        label={t('Weight where unknown')}
        placeholder={t('not assumed')}
        {...field('defaultWeight', t('assumed weight'))}
        measure="weight"
      />
    </View>
  );
};

/** Days on which nothing is shipped or delivered, and what the customer is told then. */
const Pause = ({ store }: { store: Store }) => {
  const style = useStyles(styles);
  const set = useSetStore();
  const { pause } = store;
  const today = useToday(store.timeZone);
  const begin = (): void =>
    set({ pause: { from: today, to: today, message: '', keepPickup: true } }, t('pause'));
  if (!pause) {
    return (
      <View style={style.row}>
        <Check label={t('Paused for some days')} on={false} onPress={begin} />
      </View>
    );
  }
  const change = (changes: Partial<typeof pause>, visit: string | null): void =>
    set({ pause: { ...pause, ...changes } }, t('pause'), visit);
  return (
    <View style={{ gap: 8 }} role="group" aria-label={t('Pause')}>
      <Check
        label={t('Paused for some days: nothing is shipped or delivered')}
        on
        onPress={() => set({ pause: undefined }, t('no pause'))}
      />
      <View style={style.row}>
        <DateField
          style={style.field}
          label={t('First day of the pause')}
          value={pause.from}
          onChange={(from, visit) => change({ from, to: pause.to < from ? from : pause.to }, visit)}
        />
        <DraftField
          style={style.field}
          label={t('Last day of the pause')}
          text={pause.to}
          read={(text) => {
            const to = readDate(text);
            return to.ok && to.value < pause.from
              ? { ok: false, text: t('The last day is not before the first.') }
              : to;
          }}
          onChange={(to, visit) => change({ to }, visit)}
        />
      </View>
      <WordsField
        prose
        label={t('What customers are told')}
        placeholder={t('We are taking no orders at present.')}
        value={pause.message}
        most={2_000}
        onChange={(message, visit) => change({ message }, visit)}
      />
      <Check
        label={t('Orders can still be collected')}
        on={pause.keepPickup}
        onPress={() => change({ keepPickup: !pause.keepPickup }, null)}
      />
    </View>
  );
};

/** What holds for the whole shop: name, currency, units, time, handling, rounding, the order of choices. */
export const StoreSettings = () => {
  const style = useStyles(styles);
  const set = useSetStore();
  const { store } = useBookParts('store');
  return (
    <View style={style.all}>
      <Place store={store} />
      <StoreHandling store={store} />
      <Figures store={store} />
      <PackingFields
        packing={store.packing}
        onChange={(packing, visit) => set({ packing }, t('parcels'), visit)}
      />
      <View style={style.row}>
        <Segments
          label={t('Order of the choices')}
          width={260}
          value={store.choiceOrder}
          onChange={(choiceOrder) => set({ choiceOrder }, t('order of choices'))}
          options={[
            { value: 'listed', label: t('as listed') },
            { value: 'cheapest', label: t('cheapest first') },
          ]}
        />
      </View>
      <Pause store={store} />
    </View>
  );
};
