import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { TextAction } from './text-action.tsx';

/** Cancels an order once that is confirmed. */
export const CancelOrder = ({ number, onCancel }: { number: string; onCancel: () => void }) => {
  const [asking, setAsking] = useState(false);
  if (!asking) return <TextAction label={t('Cancel the order')} onPress={() => setAsking(true)} />;
  return (
    <View
      style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 }}
      role="group"
      aria-label={t('Cancel order {number}', { number })}
    >
      <Text>{t('Cancel order {number}?', { number })}</Text>
      <TextAction
        label={t('Yes, cancel it')}
        onPress={() => {
          setAsking(false);
          onCancel();
        }}
      />
      <TextAction label={t('Keep it')} onPress={() => setAsking(false)} />
    </View>
  );
};
