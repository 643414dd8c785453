import { Controller } from 'react-hook-form';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { patternNames } from '../../../core/place/written-code.ts';
import { currencyDecimals, exampleAmount } from '../../../core/words/figure.ts';
import { codeExamplesText } from '../../places/code-examples.ts';
import { t } from '../../../core/translate/translate.ts';
import { FIELD_OUTLINE } from '../../theme/text.ts';
import { useStyles } from '../../theme/styles.ts';
import { nearPatterns } from './begin-form.ts';
import { Answer, beginStyles, FaultText, Why, type StepProps } from './begin-parts.tsx';

/** Of a shop that brings orders itself: to which codes, and for what charge. */
export const StepNear = ({ form, values, onSubmit }: StepProps) => {
  const style = useStyles(beginStyles);
  const names = patternNames(values.country, nearPatterns(values).patterns);
  return (
    <View style={{ gap: 12 }}>
      <Why text={t('The postal codes, pasted in any form: lists, ranges, the beginnings of codes.')} />
      <Controller
        control={form.control}
        name="nearCodes"
        render={({ field: { value, onChange, onBlur }, fieldState: { error } }) => (
          <View>
            <TextInput
              mode="outlined"
              outlineStyle={FIELD_OUTLINE}
              multiline
              numberOfLines={3}
              value={value}
              onChangeText={onChange}
              onBlur={onBlur}
              accessibilityLabel={t('Postal codes nearby')}
              placeholder={codeExamplesText(values.country)}
            />
            <FaultText text={error?.message} />
          </View>
        )}
      />
      {names.length > 0 ? (
        <Why
          text={t('{count, plural, one {# pattern} other {# patterns}}: {list}', {
            count: names.length,
            list: names.slice(0, 12).join(', '),
          })}
        />
      ) : null}
      <View style={style.row}>
        <Answer
          form={form}
          onSubmit={onSubmit}
          name="nearCharge"
          label={t('Charge')}
          placeholder={exampleAmount(currencyDecimals(values.currency), 400)}
        />
        <Answer
          form={form}
          onSubmit={onSubmit}
          name="nearLeast"
          label={t('Minimum order (optional)')}
          placeholder={t('any')}
        />
      </View>
    </View>
  );
};
