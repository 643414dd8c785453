import { View } from 'react-native';
import { t } from '../../../core/translate/translate.ts';
import { Chooser } from '../../parts/chooser.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { countryName } from '../../../core/words/country-name.ts';
import { useWorldPlaces } from '../../places/places.ts';
import { useStyles } from '../../theme/styles.ts';
import { beginStyles, FaultText, Why, type StepProps } from './begin-parts.tsx';

const MEANING = {
  home: t('Nobody abroad can order.'),
  listed: t('Only your own country and those you add can order.'),
  everywhere: t('Everybody can order. Countries that you add get charges of their own; the rest share one.'),
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
        label={t('Where you sell')}
        value={reach}
        onChange={(next) => {
          form.setValue('reach', next);
          form.clearErrors('countries');
        }}
        options={[
          { value: 'home', label: t('My country') },
          { value: 'listed', label: t('Some countries') },
          { value: 'everywhere', label: t('Everywhere') },
        ]}
      />
      <Why text={MEANING[reach]} />
      {reach === 'home' ? null : (
        <>
          <View style={style.row}>
            <Chooser
              label={t('Add a country')}
              chosen=""
              placeholder={t('Name of a country')}
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
                accessibilityLabel={t('Remove {country}', { country: countryName(code) })}
                onPress={() => set(countries.filter((one) => one !== code))}
              />
            ))}
          </View>
        </>
      )}
    </View>
  );
};
