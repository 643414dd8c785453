import { Checkbox } from 'react-native-paper';

interface Props {
  label: string;
  on: boolean;
  onPress: () => void;
}

/** Something that holds or does not. */
export const Check = ({ label, on, onPress }: Props) => (
  <Checkbox.Item
    label={label}
    status={on ? 'checked' : 'unchecked'}
    onPress={onPress}
    position="leading"
    labelVariant="bodyMedium"
    labelStyle={{ textAlign: 'left' }}
    style={{ paddingHorizontal: 0, paddingVertical: 2, marginLeft: -8 }}
  />
);
