import { Controller, type UseFormReturn } from 'react-hook-form';
import { View, type ViewStyle } from 'react-native';
import { HelperText, Text } from 'react-native-paper';
import { Chooser, type Option } from '../../parts/chooser.tsx';
import { FormField } from '../../fields/form-field.tsx';
import { useStyles } from '../../theme/styles.ts';
import { fieldText, note } from '../../theme/text.ts';
import { type Inks } from '../../theme/tokens.ts';
import type { BeginValues } from './begin-form.ts';

export interface StepProps {
  form: UseFormReturn<BeginValues>;
  values: BeginValues;
  onSubmit: () => void;
}

export const beginStyles = (inks: Inks) => ({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-start' } as const,
  cell: { flexGrow: 1, flexShrink: 1, flexBasis: 170, minWidth: 0 } as const,
  note: note(inks),
});

const HEIGHT = 40;

type TextName =
  | 'shop'
  | 'place'
  | 'postalCode'
  | 'city'
  | 'taxName'
  | 'taxPercent'
  | 'goodName'
  | 'goodPrice'
  | 'goodWeight'
  | 'nearCharge'
  | 'nearLeast'
  | `hours.${number}`
  | `charges.${'home' | 'abroad' | 'rest'}.${'letters' | 'parcels' | 'heavy'}`;

/** A line of an answer. */
export const Answer = ({
  form,
  name,
  label,
  placeholder,
  onSubmit,
  style,
}: Pick<StepProps, 'form' | 'onSubmit'> & {
  name: TextName;
  label: string;
  placeholder?: string;
  style?: ViewStyle;
}) => {
  const { cell } = useStyles(beginStyles);
  return (
    <View style={style ?? cell}>
      <FormField
        control={form.control}
        name={name}
        label={label}
        {...(placeholder === undefined ? {} : { placeholder })}
        onSubmit={onSubmit}
        style={{ height: HEIGHT }}
        contentStyle={fieldText}
      />
    </View>
  );
};

/** An answer that is one of many. */
export const Choice = ({
  form,
  name,
  label,
  nameOf,
  options,
  onChosen,
}: Pick<StepProps, 'form'> & {
  name: 'country' | 'subdivision' | 'currency' | 'timeZone';
  label: string;
  nameOf: (id: string) => string;
  options: readonly Option[];
  onChosen?: (id: string) => void;
}) => {
  const { cell } = useStyles(beginStyles);
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field: { value, onChange }, fieldState: { error } }) => (
        <View style={cell}>
          <View style={{ flexDirection: 'row' }}>
            <Chooser
              label={label}
              height={HEIGHT}
              chosen={value === '' ? '' : nameOf(value)}
              options={options}
              onChoose={(id) => {
                onChange(id);
                onChosen?.(id);
              }}
            />
          </View>
          <FaultText text={error?.message} />
        </View>
      )}
    />
  );
};

/** What is wrong with an answer. */
export const FaultText = ({ text }: { text: string | undefined }) =>
  text === undefined ? null : (
    <HelperText type="error" padding="none" role="alert">
      {text}
    </HelperText>
  );

/** Half a line that says why a question is asked. */
export const Why = ({ text }: { text: string }) => {
  const style = useStyles(beginStyles);
  return <Text style={style.note}>{text}</Text>;
};
