import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { Store } from '../../../../core/model/store.ts';
import { Check } from '../../../parts/check.tsx';
import { WordsField } from '../../../fields/kind-fields.tsx';
import { edit } from '../../../state/draft.ts';
import { useAppDispatch } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';

type CodeCheck = NonNullable<Store['codeCheck']>;

const styles = (inks: Inks) => ({
  all: { gap: 8, paddingTop: 12, paddingBottom: 16 },
  title: { fontFamily: SANS_STRONG },
  note: note(inks),
});

const TEXTS = [
  ['label', t('Title of the check'), t('Does it reach you?'), 120],
  ['served', t('Message where you deliver'), t('only the date and the charge'), 2_000],
  ['notServed', t('Message where you do not deliver'), t('our own explanation'), 2_000],
  [
    'noCash',
    t('Message where cash on delivery is not possible'),
    t('You cannot pay at the door there.'),
    2_000,
  ],
] as const;

/** What the product page's postal code check says, in the merchant's words. */
export const CodeCheckFields = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { codeCheck = { active: true } } = useBookParts('store').store;
  const set = (changes: Partial<CodeCheck>, visit: string | null = null): void => {
    const merged = Object.entries({ ...codeCheck, ...changes }).filter(([, value]) => value !== undefined);
    const next = Object.fromEntries(merged) as CodeCheck;
    dispatch(edit('setStore', { changes: { codeCheck: next } }, t('Postal code check'), visit));
  };
  return (
    <View style={style.all} role="group" aria-label={t('Postal code check')}>
      <Text style={style.title}>{t('The check on each product’s page')}</Text>
      <Text style={style.note}>
        {t('Customers type their postal code there and read when you deliver there and for how much.')}
      </Text>
      <Check
        label={t('Show the check')}
        on={codeCheck.active}
        onPress={() => set({ active: !codeCheck.active })}
      />
      {codeCheck.active
        ? TEXTS.map(([field, label, placeholder, most]) => (
            <WordsField
              key={field}
              prose
              label={label}
              placeholder={placeholder}
              value={codeCheck[field] ?? ''}
              most={most}
              onChange={(text, visit) =>
                set({ [field]: text.trim() === '' ? undefined : text.trim() }, visit)
              }
            />
          ))
        : null}
    </View>
  );
};
