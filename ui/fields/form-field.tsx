import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { View, type TextInputProps, type TextStyle, type ViewStyle } from 'react-native';
import { HelperText, Text, TextInput } from 'react-native-paper';
import { FIELD_OUTLINE } from '../theme/text.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';

interface Props<V extends FieldValues> {
  control: Control<V>;
  name: FieldPath<V>;
  label: string;
  onSubmit: () => void;
  placeholder?: string;
  multiline?: boolean;
  autoFocus?: boolean;
  /** What a browser may fill in, as HTML names it: 'shipping postal-code'. */
  autoComplete?: string;
  inputMode?: TextInputProps['inputMode'];
  style?: ViewStyle;
  contentStyle: TextStyle;
}

const styles = (inks: Inks) => ({
  label: { ...note(inks), marginBottom: 2 },
  input: { backgroundColor: inks.raised },
});

/** A field of a form that is filled in and then sent: its label, its text and what is wrong with it. */
export const FormField = <V extends FieldValues>(props: Props<V>) => {
  const { control, name, label, onSubmit, style: size, autoComplete, ...input } = props;
  const style = useStyles(styles);
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange, onBlur, ref }, fieldState: { error } }) => (
        <View>
          <Text style={style.label}>{label}</Text>
          <TextInput
            ref={ref}
            mode="outlined"
            outlineStyle={FIELD_OUTLINE}
            dense
            value={value as string}
            onChangeText={onChange}
            onBlur={onBlur}
            onSubmitEditing={onSubmit}
            error={error !== undefined}
            aria-label={label}
            accessibilityLabel={label}
            style={[style.input, size]}
            // The library's type knows the tokens of native programs alone.
            autoComplete={autoComplete as TextInputProps['autoComplete']}
            {...input}
          />
          {error ? (
            <HelperText type="error" padding="none">
              {error.message}
            </HelperText>
          ) : null}
        </View>
      )}
    />
  );
};
