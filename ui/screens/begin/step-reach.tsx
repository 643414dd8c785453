import { View } from 'react-native';
import { Chooser } from '../../parts/chooser.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { countryName } from '../../../core/words/country-name.ts';
import { useWorldPlaces } from '../../places/places.ts';
import { useStyles } from '../../theme/styles.ts';
import { beginStyles, FaultText, Why, type StepProps } from './begin-parts.tsx';

const MEANING = {
  home: 'Nobody abroad can order.',
  listed: 'Only your own country and those you add can order.',
  everywhere: 'Everybody can order. Countries that you add get charges of their own; the rest share one.',
} as const;

/** The second question: which countries can order. */
export const StepReach = ({ form, values }: StepProps) => {
  const style = useStyles(beginStyles);
  const places = useWorldPlaces();
  const { countries, country, reach } = values;
  const set = (next: string[]): void => form.setValue('countries', next, { shouldValidate: true });
  return (
    <View style={{ gap: 12 }}>
      <Segments
        hideLabel
        label="Where you sell"
        value={reach}
        onChange={(next) => {
          form.setValue('reach', next);
          form.clearErrors('countries');
        }}
        options={[
          { value: 'home', label: 'My country' },
          { value: 'listed', label: 'Some countries' },
          { value: 'everywhere', label: 'Everywhere' },
        ]}
      />
      <Why text={MEANING[reach]} />
      {reach === 'home' ? null : (
        <>
          <View style={style.row}>
            <Chooser
              label="Add a country"
              chosen=""
              placeholder="Name of a country"
              options={(places?.countries ?? [])
                .filter(({ code }) => code !== country && !countries.includes(code))
                .map(({ code, name }) => ({ id: code, name }))}
              onChoose={(code) => set([...countries, code])}
            />
          </View>
          <FaultText text={form.formState.errors.countries?.message} />
          <View style={style.row}>
            {countries.map((code) => (
              <TextAction
                key={code}
                label={`${countryName(code)} ×`}
                accessibilityLabel={`Remove ${countryName(code)}`}
                onPress={() => set(countries.filter((one) => one !== code))}
              />
            ))}
          </View>
        </>
      )}
    </View>
  );
};
