import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { DutyRate } from '../../../../core/model/tax.ts';
import {
  countFigure,
  moneyFigure,
  percentFigure,
  type DisplayFormat,
} from '../../../../core/words/figure.ts';
import { Press } from '../../../parts/press.tsx';
import { CountryField, MoneyField, PercentField } from '../../../fields/kind-fields.tsx';
import { DraftField, type Read } from '../../../fields/draft-field.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { countryName } from '../../../../core/words/country-name.ts';
import { edit } from '../../../state/draft.ts';
import { messageShown } from '../../../state/session.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../../../theme/tokens.ts';
import { fieldsOf } from '../../../fields/fields-of.ts';

const styles = (inks: Inks) => ({
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { paddingVertical: 10, minHeight: TOUCH },
  name: { fontFamily: SANS_STRONG },
  note: note(inks),
  fields: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: 12,
    alignItems: 'flex-end',
    paddingBottom: 12,
  } as const,
  field: { width: 116 },
  place: { width: 168 },
  link: { alignSelf: 'flex-start', marginLeft: -4, marginTop: 4 } as const,
});

const readPrefix = (text: string): Read<string | undefined> => {
  const digits = text.replace(/[\s.-]/g, '');
  if (digits === '') return { ok: true, value: undefined };
  return /^\d{1,12}$/.test(digits)
    ? { ok: true, value: digits }
    : { ok: false, text: 'Write the beginning of an HS code, such as 6912.' };
};

const phrase = (rate: DutyRate, { decimals }: DisplayFormat): string =>
  [
    rate.hsPrefix === undefined ? 'all other products' : `HS codes that begin with ${rate.hsPrefix}`,
    `duty ${percentFigure(rate.duty)}`,
    `import tax ${percentFigure(rate.importTax)}`,
    ...(rate.freeBelow > 0 ? [`no charges below ${moneyFigure(rate.freeBelow, decimals)}`] : []),
    rate.valueBasis === 'goods' ? 'on products' : 'on products and shipping',
  ].join(' · ');

const RateFields = ({ rate, at }: { rate: DutyRate; at: number }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const set = (changes: Partial<DutyRate>, visit: string | null = null): void =>
    void dispatch(edit('setDutyRate', { at, changes }, `Duty, ${countryName(rate.country)}`, visit));
  const field = fieldsOf(rate, (changes, _, visit: string) => set(changes, visit));
  const remove = (): void => {
    dispatch(edit('removeDutyRate', { at }, `Remove a duty rate of ${countryName(rate.country)}`));
    dispatch(messageShown({ text: 'Removed a duty rate.', undo: true }));
  };
  return (
    <View style={style.fields} role="group" aria-label={`Duty, ${countryName(rate.country)}`}>
      <CountryField style={style.place} label="Country" {...field('country')} />
      <DraftField
        style={style.field}
        label="HS code begins"
        placeholder="any"
        text={rate.hsPrefix ?? ''}
        read={readPrefix}
        onChange={(hsPrefix, visit) => set({ hsPrefix }, visit)}
      />
      <PercentField right style={style.field} label="Duty" {...field('duty')} sign />
      <PercentField right style={style.field} label="Import tax" {...field('importTax')} sign />
      <MoneyField right style={style.field} label="No charges below" {...field('freeBelow')} />
      <Segments
        label="Charged on"
        width={320}
        value={rate.valueBasis}
        onChange={(valueBasis) => set({ valueBasis })}
        options={[
          { value: 'goods', label: 'products' },
          { value: 'goods-and-shipping', label: 'products and shipping' },
        ]}
      />
      <TextAction label="Remove this rate" onPress={remove} />
    </View>
  );
};

/** Rates of duty and import tax, one country under the other, each opened under itself. */
export const DutyRates = ({ rates }: { rates: readonly DutyRate[] }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const display = useAppSelector(selectDisplayFormat);
  const [open, setOpen] = useState<number | null>(null);
  const add = (): void => {
    const rate: DutyRate = {
      country: rates.at(-1)?.country ?? 'US',
      duty: 0,
      importTax: 0,
      freeBelow: 0,
      valueBasis: 'goods-and-shipping',
    };
    dispatch(edit('addDutyRate', { rate }, 'New rate of duty'));
    setOpen(rates.length);
  };
  return (
    <View>
      {rates.length === 0 ? (
        <Text style={[style.note, { paddingVertical: 12 }]}>
          No rates yet. Without one for the country and the code of the products, import charges cannot be
          prepaid, and an estimate becomes a notice.
        </Text>
      ) : (
        <Text style={[style.note, { paddingVertical: 8 }]}>
          {countFigure(rates.length, 'rate')}. Within a country, the rate whose HS code matches most of the
          product’s code applies.
        </Text>
      )}
      <View role="list" aria-label="Rates of duty">
        {rates.map((rate, at) => (
          <View key={at} style={style.item} role="listitem">
            <Press role="button" aria-expanded={open === at} onPress={() => setOpen(open === at ? null : at)}>
              <View style={style.row}>
                <Text style={style.name}>{countryName(rate.country)}</Text>
                <Text style={style.note}>{phrase(rate, display)}</Text>
              </View>
            </Press>
            {open === at ? <RateFields rate={rate} at={at} /> : null}
          </View>
        ))}
      </View>
      <TextAction style={style.link} label="Add a rate" onPress={add} />
    </View>
  );
};
