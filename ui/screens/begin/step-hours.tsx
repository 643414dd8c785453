import { View } from 'react-native';
import { t } from '../../../core/translate/translate.ts';
import { WEEKDAYS } from '../../../core/words/weekdays.ts';
import { Answer, Why, type StepProps } from './begin-parts.tsx';

/** The week in which orders are made ready. */
export const StepHours = ({ form, onSubmit }: StepProps) => (
  <View style={{ gap: 8 }}>
    <Why
      text={t('Orders are handed over on open days only. Write 9-12, 13-17:30, or nothing for a closed day.')}
    />
    {WEEKDAYS.map((day, at) => (
      <Answer
        key={day}
        form={form}
        onSubmit={onSubmit}
        name={`hours.${at}`}
        label={day}
        placeholder={t('closed')}
        style={{ maxWidth: 320 }}
      />
    ))}
  </View>
);
