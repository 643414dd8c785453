import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { Segments } from '../../parts/segments.tsx';
import { countryName } from '../../../core/words/country-name.ts';
import { useWorldPlaces } from '../../places/places.ts';
import { CURRENCIES, currencyName, TIME_ZONES } from '../../places/money-and-time.ts';
import { useStyles } from '../../theme/styles.ts';
import { Check } from '../../parts/check.tsx';
import { Answer, beginStyles, Choice, FaultText, Why, type StepProps } from './begin-parts.tsx';
import { propose } from './country-proposals.ts';

const WAYS = [
  { name: 'ships', label: t('Shipped to them') },
  { name: 'near', label: t('Delivered by you, nearby') },
  { name: 'collect', label: t('Collected at your place, free of charge') },
] as const;

/** How customers get their orders; what does not apply is not asked later. */
const Ways = ({ form, values }: Omit<StepProps, 'onSubmit'>) => {
  const { ways } = form.formState.errors as { ways?: { message?: string } };
  return (
    <View role="group" aria-label={t('How customers get their orders')}>
      <Text>{t('How customers get their orders')}</Text>
      {WAYS.map(({ name, label }) => (
        <Check
          key={name}
          label={label}
          on={values[name]}
          onPress={() => form.setValue(name, !values[name])}
        />
      ))}
      <FaultText text={ways?.message} />
    </View>
  );
};

/** What the country proposes, to be changed: currency, time zone, tax at home, units. */
const MoneyAndUnits = ({ form, values, onSubmit }: StepProps) => {
  const style = useStyles(beginStyles);
  const text = { form, onSubmit };
  return (
    <>
      <View style={style.row}>
        <Choice
          form={form}
          name="currency"
          label={t('Currency')}
          nameOf={currencyName}
          options={CURRENCIES}
        />
        <Choice
          form={form}
          name="timeZone"
          label={t('Time zone')}
          nameOf={(id) => id.replaceAll('_', ' ')}
          options={TIME_ZONES}
        />
      </View>
      <View style={style.row}>
        <Answer
          {...text}
          name="taxName"
          label={t('Tax on sales at home (optional)')}
          placeholder={t('VAT')}
        />
        <Answer {...text} name="taxPercent" label={t('its percentage')} placeholder={t('none')} />
      </View>
      {values.taxPercent.trim() === '' ? null : (
        <View style={style.row}>
          <Segments
            label={t('The prices and charges that you write')}
            width={320}
            value={values.taxIncluded ? 'included' : 'added'}
            onChange={(way) => form.setValue('taxIncluded', way === 'included', { shouldDirty: true })}
            options={[
              { value: 'included', label: t('contain the tax') },
              { value: 'added', label: t('are without it') },
            ]}
          />
        </View>
      )}
      <View style={style.row}>
        <Segments
          label={t('Weights and sizes')}
          width={240}
          value={values.units}
          onChange={(units) => form.setValue('units', units)}
          options={[
            { value: 'metric', label: t('kg and cm') },
            { value: 'imperial', label: t('lb and in') },
          ]}
        />
      </View>
    </>
  );
};

/** The first question: the shop, the place it sends from, its currency and the tax at home. */
export const StepFrom = ({ form, values, onSubmit }: StepProps) => {
  const style = useStyles(beginStyles);
  const places = useWorldPlaces();
  const regions = places?.subdivisions.get(values.country) ?? [];
  const text = { form, onSubmit };
  return (
    <View style={{ gap: 12 }}>
      <Why
        text={t('Your own place decides what is home and what is abroad, and on which days orders leave.')}
      />
      <View style={style.row}>
        <Answer {...text} name="shop" label={t('Name of the shop')} />
        <Answer
          {...text}
          name="place"
          label={t('Name of the place you send from')}
          placeholder={t('Workshop')}
        />
      </View>
      <View style={style.row}>
        <Choice
          form={form}
          name="country"
          label={t('Country')}
          nameOf={countryName}
          options={(places?.countries ?? []).map(({ code, name }) => ({ id: code, name }))}
          onChosen={(country) => void propose(form, country)}
        />
        {regions.length > 0 ? (
          <Choice
            form={form}
            name="subdivision"
            label={t('Region (optional)')}
            nameOf={(code) => regions.find((one) => one.code === code)?.name ?? ''}
            options={regions.map(({ code, name }) => ({ id: code, name }))}
          />
        ) : null}
      </View>
      <View style={style.row}>
        <Answer {...text} name="postalCode" label={t('Postal code (optional)')} />
        <Answer {...text} name="city" label={t('Town (optional)')} />
      </View>
      <Ways form={form} values={values} />
      <MoneyAndUnits form={form} values={values} onSubmit={onSubmit} />
    </View>
  );
};
