import { Controller, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { HelperText } from 'react-native-paper';
import { Chooser } from '../../parts/chooser.tsx';
import { FormField } from '../../fields/form-field.tsx';
import { useWorldPlaces } from '../../places/places.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { fieldText } from '../../theme/text.ts';
import { countryOptions } from './country-options.ts';
import {
  askedLines,
  type AddressField,
  type Asked,
  type CheckoutValues,
  type FieldSpec,
} from './address-form.ts';

interface Props {
  control: Control<CheckoutValues>;
  part: 'ship' | 'bill';
  country: string;
  /** Another country, whose regions are others too, or another region, in which the code may not lie. */
  onPlace: (field: 'country' | 'subdivision') => void;
  onSubmit: () => void;
  asked?: Asked;
  /** The countries that may be chosen; undefined for all. */
  sellsTo?: (country: string) => boolean;
}

/** What a browser fills in, as HTML names it. */
const FILLED_BY: Record<AddressField, string> = {
  country: 'country',
  name: 'name',
  line1: 'address-line1',
  line2: 'address-line2',
  city: 'address-level2',
  subdivision: 'address-level1',
  postalCode: 'postal-code',
};

const row = { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-start' } as const;
/** As many beside each other as there is room for. */
const cell = { flexGrow: 1, flexShrink: 1, flexBasis: 150, minWidth: 0 } as const;
const HEIGHT = 44;

const Chosen = (
  props: Pick<Props, 'control' | 'part'> & {
    field: 'country' | 'subdivision';
    label: string;
    nameOf: (code: string) => string;
    options: { id: string; name: string; note?: string }[];
    onChosen: () => void;
  },
) => (
  <Controller
    control={props.control}
    name={`${props.part}.${props.field}`}
    render={({ field: { value, onChange }, fieldState: { error } }) => (
      <View style={cell}>
        <View style={{ flexDirection: 'row' }}>
          <Chooser
            label={props.label}
            height={HEIGHT}
            chosen={props.nameOf(value)}
            options={props.options}
            onChoose={(code) => {
              onChange(code);
              props.onChosen();
            }}
          />
        </View>
        {error ? (
          <HelperText type="error" padding="none">
            {error.message}
          </HelperText>
        ) : null}
      </View>
    )}
  />
);

/** One field of an address: a region is chosen where the country's are known, and not asked for elsewhere. */
const AddressLineField = ({
  spec,
  control,
  part,
  country,
  onPlace,
  onSubmit,
}: Omit<Props, 'asked' | 'sellsTo'> & { spec: FieldSpec }) => {
  const places = useWorldPlaces();
  const words = useCustomerWords();
  const { say } = words;
  const regions = (places?.subdivisions.get(country) ?? [])
    .map(({ code, name }) => ({ code, name: words.region(code, name) }))
    .sort((a, b) => a.name.localeCompare(b.name, words.language));
  if (spec.field !== 'subdivision')
    return (
      <View style={cell}>
        <FormField
          control={control}
          name={`${part}.${spec.field}`}
          label={spec.required ? say(spec.label) : say('address.optional', { label: say(spec.label) })}
          onSubmit={onSubmit}
          autoComplete={`${part === 'ship' ? 'shipping' : 'billing'} ${FILLED_BY[spec.field]}`}
          style={{ height: HEIGHT }}
          contentStyle={fieldText}
        />
      </View>
    );
  return regions.length === 0 ? null : (
    <Chosen
      control={control}
      part={part}
      field="subdivision"
      label={say(spec.label)}
      onChosen={() => onPlace('subdivision')}
      nameOf={(code) => regions.find((one) => one.code === code)?.name ?? ''}
      options={[
        ...(spec.required ? [] : [{ id: '', name: say('address.not-given'), note: '' }]),
        ...regions.map(({ code, name }) => ({ id: code, name, note: code.slice(3) })),
      ]}
    />
  );
};

/** An address with the fields that its country's post asks for, in the order it writes them. */
export const AddressFields = ({
  control,
  part,
  country,
  onPlace,
  onSubmit,
  asked = 'whole',
  sellsTo = () => true,
}: Props) => {
  const places = useWorldPlaces();
  const words = useCustomerWords();
  const { say } = words;
  return (
    <View style={{ gap: 12 }}>
      {asked === 'name' ? null : (
        <View style={row}>
          <Chosen
            control={control}
            part={part}
            field="country"
            label={say('address.country')}
            nameOf={(code) => (code === '' ? '' : words.country(code))}
            options={countryOptions(words, places?.countries ?? [], sellsTo)}
            onChosen={() => onPlace('country')}
          />
        </View>
      )}
      {askedLines(country, asked).map((line) => (
        <View style={row} key={line.map((spec) => spec.field).join()}>
          {line.map((spec) => (
            <AddressLineField
              key={spec.field}
              spec={spec}
              {...{ control, part, country, onPlace, onSubmit }}
            />
          ))}
        </View>
      ))}
    </View>
  );
};
