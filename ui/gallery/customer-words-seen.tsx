import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { useCustomerWords } from '../customer-words/use-customer-words.ts';
import { RadioRow } from '../screens/shopfront/radio-row.tsx';
import { Group } from './seen.tsx';

const SLOT = { start: '2026-11-27T15:00:00-04:00', end: '2026-11-27T16:00:00-04:00' };

/** How the customer's side writes figures, days and texts in the language that is chosen. */
export const CustomerWordsSeen = () => {
  const { say, price, slot, span, weight, percent, country } = useCustomerWords();
  return (
    <Group title="The customer’s side">
      <View>
        <RadioRow on name={say('order.collected')} onPress={() => undefined} />
        <RadioRow on={false} name={say('order.brought')} onPress={() => undefined} />
      </View>
      <Text>{[price(2_264_066), percent(1_250), weight(2_000)].join(' · ')}</Text>
      <Text>{slot(SLOT)}</Text>
      <Text>{span('2026-11-26', '2026-11-30')}</Text>
      <Text>{['CA', 'DE', 'US'].map(country).join(', ')}</Text>
    </Group>
  );
};
