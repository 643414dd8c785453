import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { DutyRate } from '../../../../core/model/tax.ts';
import { moneyFigure, percentFigure, type DisplayFormat } from '../../../../core/words/figure.ts';
import { Press } from '../../../parts/press.tsx';
import { CountryField } from '../../../fields/country-field.tsx';
import { MoneyField, PercentField } from '../../../fields/kind-fields.tsx';
import { DraftField, type Read } from '../../../fields/draft-field.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { countryName } from '../../../../core/words/country-name.ts';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
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
    : { ok: false, text: t('Write the beginning of an HS code, such as 6912.') };
};

const phrase = (rate: DutyRate, { decimals }: DisplayFormat): string =>
  [
    rate.hsPrefix === undefined
      ? t('all other products')
      : t('HS codes that begin with {hsPrefix}', { hsPrefix: rate.hsPrefix }),
    t('duty {percent}', { percent: percentFigure(rate.duty) }),
    t('import tax {percent}', { percent: percentFigure(rate.importTax) }),
    ...(rate.freeBelow > 0
      ? [t('no charges below {amount}', { amount: moneyFigure(rate.freeBelow, decimals) })]
      : []),
    rate.valueBasis === 'goods' ? t('on products') : t('on products and shipping'),
  ].join(' · ');

const RateFields = ({ rate, at }: { rate: DutyRate; at: number }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const set = (changes: Partial<DutyRate>, visit: string | null = null): void =>
    void dispatch(
      edit(
        'setDutyRate',
        { at, changes },
        t('Duty, {country}', { country: countryName(rate.country) }),
        visit,
      ),
    );
  const field = fieldsOf(rate, (changes, _, visit: string) => set(changes, visit));
  const remove = (): void => {
    dispatch(
      edit(
        'removeDutyRate',
        { at },
        t('Remove a duty rate of {country}', { country: countryName(rate.country) }),
      ),
    );
    dispatch(undoMessage(t('Removed a duty rate.')));
  };
  return (
    <View
      style={style.fields}
      role="group"
      aria-label={t('Duty, {country}', { country: countryName(rate.country) })}
    >
      <CountryField style={style.place} label={t('Country')} {...field('country')} />
      <DraftField
        style={style.field}
        label={t('HS code begins')}
        placeholder={t('any')}
        text={rate.hsPrefix ?? ''}
        read={readPrefix}
        onChange={(hsPrefix, visit) => set({ hsPrefix }, visit)}
      />
      <PercentField right style={style.field} label={t('Duty')} {...field('duty')} sign />
      <PercentField right style={style.field} label={t('Import tax')} {...field('importTax')} sign />
      <MoneyField right style={style.field} label={t('No charges below')} {...field('freeBelow')} />
      <Segments
        label={t('Charged on')}
        width={320}
        value={rate.valueBasis}
        onChange={(valueBasis) => set({ valueBasis })}
        options={[
          { value: 'goods', label: t('products') },
          { value: 'goods-and-shipping', label: t('products and shipping') },
        ]}
      />
      <TextAction label={t('Remove this rate')} onPress={remove} />
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
    dispatch(edit('addDutyRate', { rate }, t('New rate of duty')));
    setOpen(rates.length);
  };
  return (
    <View>
      {rates.length === 0 ? (
        <Text style={[style.note, { paddingVertical: 12 }]}>
          {t(
            'No rates yet. Without one for the country and the code of the products, import charges cannot be prepaid, and an estimate becomes a notice.',
          )}
        </Text>
      ) : (
        <Text style={[style.note, { paddingVertical: 8 }]}>
          {t(
            '{count, plural, one {# rate} other {# rates}}. Within a country, the rate whose HS code matches most of the product’s code applies.',
            { count: rates.length },
          )}
        </Text>
      )}
      <View role="list" aria-label={t('Rates of duty')}>
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
      <TextAction style={style.link} label={t('Add a rate')} onPress={add} />
    </View>
  );
};
