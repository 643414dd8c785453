import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { patternName } from '../../../../core/place/written-code.ts';
import { t } from '../../../../core/translate/translate.ts';
import type { PostalRule } from '../../../../core/model/delivery.ts';
import { Check } from '../../../parts/check.tsx';
import { CountryField } from '../../../fields/country-field.tsx';
import { OptionalCountField } from '../../../fields/kind-fields.tsx';
import { DraftField } from '../../../fields/draft-field.tsx';
import { readPattern } from '../../../fields/place-readers.ts';
import { TextAction } from '../../../parts/text-action.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { useAppDispatch } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { raisedPanel } from '../../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';
import { fieldsOf } from '../../../fields/fields-of.ts';

interface Props {
  line: PostalRule;
  at: number;
  onGone: () => void;
}

const styles = (inks: Inks) => ({
  panel: { ...raisedPanel(inks), padding: 12, gap: 8, marginVertical: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  field: { width: 124 },
  place: { width: 168 },
  title: { fontFamily: SANS_STRONG },
});

/** One line of the postal list: which codes, whether they are served, cash on delivery, days. */
export const LineFields = ({ line, at, onGone }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { country, served, cashOnDelivery } = line;
  const pattern = patternName(country, line.pattern);
  const set = (changes: Partial<PostalRule>, visit: string | null = null): void => {
    dispatch(edit('setPostalLine', { at, changes }, t('Postal list, {pattern}', { pattern }), visit));
  };
  const field = fieldsOf(line, (changes, _, visit: string) => set(changes, visit));
  const remove = (): void => {
    dispatch(edit('removePostalLine', { at }, t('Postal list: remove {pattern}', { pattern })));
    dispatch(undoMessage(t('Removed {pattern} from the postal list.', { pattern })));
    onGone();
  };
  return (
    <View style={style.panel} role="group" aria-label={t('Line {count}', { count: at + 1 })}>
      <Text style={style.title}>{t('Line {count}', { count: at + 1 })}</Text>
      <View style={style.row}>
        <CountryField style={style.place} label={t('Country')} {...field('country')} />
        <DraftField
          style={style.field}
          label={t('Postal code')}
          text={pattern}
          read={readPattern(country)}
          onChange={(next, visit) => set({ pattern: next }, visit)}
        />
        <OptionalCountField
          right
          style={style.field}
          label={t('Days')}
          placeholder={t('as the rate')}
          {...field('days')}
          least={0}
          most={365}
        />
      </View>
      <View style={style.row}>
        <Check label={t('Served')} on={served} onPress={() => set({ served: !served })} />
        <Check
          label={t('Cash on delivery')}
          on={cashOnDelivery}
          onPress={() => set({ cashOnDelivery: !cashOnDelivery })}
        />
      </View>
      <TextAction
        label={t('Remove the line')}
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        onPress={remove}
      />
    </View>
  );
};
