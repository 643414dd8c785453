import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { TextAction } from './text-action.tsx';

/** Cancels an order once that is confirmed. */
export const CancelOrder = ({ number, onCancel }: { number: string; onCancel: () => void }) => {
  const [asking, setAsking] = useState(false);
  if (!asking) return <TextAction label="Cancel the order" onPress={() => setAsking(true)} />;
  return (
    <View
      style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 }}
      role="group"
      aria-label={`Cancel order ${number}`}
    >
      <Text>Cancel order {number}?</Text>
      <TextAction
        label="Yes, cancel it"
        onPress={() => {
          setAsking(false);
          onCancel();
        }}
      />
      <TextAction label="Keep it" onPress={() => setAsking(false)} />
    </View>
  );
};
