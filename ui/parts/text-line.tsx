import { View } from 'react-native';
import { Text, TextInput } from 'react-native-paper';
import { FIELD_OUTLINE, fieldText } from '../theme/text.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import { FINGER, type Inks } from '../theme/tokens.ts';

interface Props {
  label: string;
  value: string;
  onChange: (text: string) => void;
  onSubmit?: () => void;
  placeholder?: string;
  hideLabel?: boolean;
  autoFocus?: boolean;
  /** What a browser may fill in, as HTML names it. */
  autoComplete?: 'off' | 'postal-code';
}

const styles = (inks: Inks) => ({
  label: { ...note(inks), marginBottom: 2 },
  input: { backgroundColor: inks.raised, height: FINGER },
});

/** A line of text that is not part of the draft: what is looked for, or what is about to be set. */
export const TextLine = ({
  label,
  value,
  onChange,
  onSubmit,
  placeholder,
  hideLabel,
  autoFocus,
  autoComplete = 'off',
}: Props) => {
  const style = useStyles(styles);
  return (
    <View>
      {hideLabel ? null : <Text style={style.label}>{label}</Text>}
      <TextInput
        mode="outlined"
        outlineStyle={FIELD_OUTLINE}
        dense
        value={value}
        placeholder={placeholder}
        autoFocus={autoFocus}
        onChangeText={onChange}
        onSubmitEditing={onSubmit}
        aria-label={label}
        accessibilityLabel={label}
        style={style.input}
        contentStyle={fieldText}
        autoComplete={autoComplete}
      />
    </View>
  );
};
