import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { Segments } from '../../parts/segments.tsx';
import { countryName } from '../../../core/words/country-name.ts';
import { useWorldPlaces } from '../../places/places.ts';
import { CURRENCIES, currencyName, TIME_ZONES } from '../../places/money-and-time.ts';
import { useStyles } from '../../theme/styles.ts';
import { Check } from '../../parts/check.tsx';
import { Answer, beginStyles, Choice, FaultText, Why, type StepProps } from './begin-parts.tsx';
import { propose } from './country-proposals.ts';

const WAYS = [
  { name: 'ships', label: 'Shipped to them' },
  { name: 'near', label: 'Delivered by you, nearby' },
  { name: 'collect', label: 'Collected at your place, free of charge' },
] as const;

/** How customers get their orders; what does not apply is not asked later. */
const Ways = ({ form, values }: Omit<StepProps, 'onSubmit'>) => {
  const { ways } = form.formState.errors as { ways?: { message?: string } };
  return (
    <View role="group" aria-label="How customers get their orders">
      <Text>How customers get their orders</Text>
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
        <Choice form={form} name="currency" label="Currency" nameOf={currencyName} options={CURRENCIES} />
        <Choice
          form={form}
          name="timeZone"
          label="Time zone"
          nameOf={(id) => id.replaceAll('_', ' ')}
          options={TIME_ZONES}
        />
      </View>
      <View style={style.row}>
        <Answer {...text} name="taxName" label="Tax on sales at home (optional)" placeholder="VAT" />
        <Answer {...text} name="taxPercent" label="its percentage" placeholder="none" />
      </View>
      <View style={style.row}>
        <Segments
          label="Weights and sizes"
          width={240}
          value={values.units}
          onChange={(units) => form.setValue('units', units)}
          options={[
            { value: 'metric', label: 'kg and cm' },
            { value: 'imperial', label: 'lb and in' },
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
      <Why text="Your own place decides what is home and what is abroad, and on which days orders leave." />
      <View style={style.row}>
        <Answer {...text} name="shop" label="Name of the shop" />
        <Answer {...text} name="place" label="Name of the place you send from" placeholder="Workshop" />
      </View>
      <View style={style.row}>
        <Choice
          form={form}
          name="country"
          label="Country"
          nameOf={countryName}
          options={(places?.countries ?? []).map(({ code, name }) => ({ id: code, name }))}
          onChosen={(country) => void propose(form, country)}
        />
        {regions.length > 0 ? (
          <Choice
            form={form}
            name="subdivision"
            label="Region (optional)"
            nameOf={(code) => regions.find((one) => one.code === code)?.name ?? ''}
            options={regions.map(({ code, name }) => ({ id: code, name }))}
          />
        ) : null}
      </View>
      <View style={style.row}>
        <Answer {...text} name="postalCode" label="Postal code (optional)" />
        <Answer {...text} name="city" label="Town (optional)" />
      </View>
      <Ways form={form} values={values} />
      <MoneyAndUnits form={form} values={values} onSubmit={onSubmit} />
    </View>
  );
};
