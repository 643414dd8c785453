import { useState } from 'react';
import { View } from 'react-native';
import { Text, TextInput } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { CarrierAccount, CarrierAnswer } from '../../../../core/model/carrier.ts';
import { sentence } from '../../../../core/words/sentence.ts';
import { askCarriers, forgetAnswers } from '../../../carriers/reach-carriers.ts';
import { sampleQuestion } from '../../../carriers/sample-question.ts';
import { NameField } from '../../../fields/kind-fields.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { answersForgotten } from '../../../state/answers.ts';
import { selectBook, selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { FIELD_OUTLINE, note } from '../../../theme/text.ts';
import { FINGER, SANS, type Inks } from '../../../theme/tokens.ts';
import type { SetAccount } from './account-page.tsx';

interface Props {
  account: CarrierAccount;
  set: SetAccount;
}

const styles = (inks: Inks) => ({
  all: { gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  field: { flexGrow: 1, flexBasis: 168 },
  label: { ...note(inks), marginBottom: 2 },
  input: { backgroundColor: inks.raised, height: FINGER, fontFamily: SANS, fontSize: 16 },
  note: note(inks),
  sound: { ...note(inks), color: inks.sound },
  fault: { ...note(inks), color: inks.rubric },
  test: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center', marginLeft: -4 } as const,
});

/** The secret is never shown again: it can only be written anew. */
const Secret = ({ account, set }: Props) => {
  const style = useStyles(styles);
  const [typed, setTyped] = useState('');
  const { credentials } = account;
  if (credentials.kind !== 'own') return null;
  const keep = (): void => {
    if (typed !== '') set({ credentials: { ...credentials, secret: typed } });
    setTyped('');
  };
  return (
    <View style={style.field}>
      <Text style={style.label}>{t('Secret')}</Text>
      <TextInput
        mode="outlined"
        dense
        secureTextEntry
        accessibilityLabel={t('Secret')}
        placeholder={credentials.secret === undefined ? t('to be entered') : t('kept; write a new one')}
        value={typed}
        style={style.input}
        outlineStyle={FIELD_OUTLINE}
        onChangeText={setTyped}
        onBlur={keep}
        onSubmitEditing={keep}
      />
    </View>
  );
};

type Tested = { ok: boolean; text: string } | 'asking' | null;

const testedWords = (
  answer: CarrierAnswer | undefined,
  account: string,
  from: string,
  display: Parameters<typeof sentence>[1],
): Tested => {
  if (!answer) return null;
  if (answer.ok)
    return {
      ok: true,
      text: t(
        'It answered: {count, plural, one {# service} other {# services}} for a kilogram within {from}.',
        { count: answer.services.length, from },
      ),
    };
  const { error, text } = answer;
  return { ok: false, text: sentence({ code: 'carrier-error', account, error, text }, display) };
};

/** Asks the carrier one plain question and says what came back. */
const TestConnection = ({ account }: { account: CarrierAccount }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const book = useAppSelector(selectBook);
  const display = useAppSelector(selectDisplayFormat);
  const [tested, setTested] = useState<Tested>(null);
  const location = book.locations.find(({ id }) => id === account.locationId);
  const test = async (): Promise<void> => {
    if (!location) return;
    setTested('asking');
    await forgetAnswers();
    dispatch(answersForgotten(null));
    const question = sampleQuestion(account, location, location.address, 1_000, book.store);
    const [answer] = await askCarriers(
      [{ question, timeoutMs: account.timeoutMs }],
      new AbortController().signal,
    );
    setTested(testedWords(answer, account.name, location.name, display));
  };
  return (
    <View style={style.test} aria-live="polite">
      <TextAction
        label={t('Test the connection')}
        disabled={tested === 'asking'}
        onPress={() => void test()}
      />
      {tested === 'asking' ? (
        <Text style={style.note}>{t('Asking {account} …', { account: account.name })}</Text>
      ) : null}
      {tested && tested !== 'asking' ? (
        <Text style={tested.ok ? style.sound : style.fault}>{tested.text}</Text>
      ) : null}
    </View>
  );
};

/** Whose account it is, its number and secret, and whether the carrier takes them. */
export const Credentials = ({ account, set }: Props) => {
  const style = useStyles(styles);
  const { credentials } = account;
  return (
    <View style={style.all} role="group" aria-label={t('Credentials')}>
      <Segments
        label={t('Prices come from')}
        value={credentials.kind}
        onChange={(kind) =>
          set({ credentials: kind === 'shared' ? { kind } : { kind: 'own', accountNumber: 'number' } })
        }
        options={[
          { value: 'shared', label: t('its public prices') },
          { value: 'own', label: t('your own account') },
        ]}
      />
      {credentials.kind === 'own' ? (
        <View style={style.row}>
          <NameField
            prose
            style={style.field}
            label={t('Account number')}
            value={credentials.accountNumber}
            onChange={(accountNumber, visit) =>
              set({ credentials: { ...credentials, accountNumber } }, visit)
            }
          />
          <Secret account={account} set={set} />
        </View>
      ) : null}
      <Text style={style.note}>
        {credentials.kind === 'own'
          ? t('The secret stays on this device: it is in no file that is saved and in no message.')
          : t('The carrier’s public prices, without an account of your own.')}
      </Text>
      <TestConnection account={account} />
    </View>
  );
};
