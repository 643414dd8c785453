import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { ChoiceKind } from '../../../core/model/adjustment.ts';
import type { PaymentOption } from '../../../core/model/tax.ts';
import { Check } from '../../parts/check.tsx';
import { NameField, OptionalMoneyField, WordsField } from '../../fields/kind-fields.tsx';
import { DraftField } from '../../fields/draft-field.tsx';
import { readCountries } from '../../fields/place-readers.ts';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { countryName } from '../../../core/words/country-name.ts';
import { edit } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { useAppDispatch } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { Actions } from '../../parts/actions.tsx';
import { MoveActions } from '../../parts/move-actions.tsx';
import { SwitchAction } from '../../parts/switch-action.tsx';
import { fieldsOf } from '../../fields/fields-of.ts';

type Changes = Partial<Omit<PaymentOption, 'id'>>;

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingVertical: 8 },
  item: { gap: 8, paddingVertical: 12, borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  checks: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 20 } as const,
  name: { flexGrow: 1, flexBasis: 180 },
  field: { width: 148 },
});

const FOR: { kind: ChoiceKind; label: string }[] = [
  { kind: 'shipping', label: t('shipped') },
  { kind: 'delivery', label: t('delivered') },
  { kind: 'pickup', label: t('collected') },
  { kind: 'nothing-to-ship', label: t('nothing to send') },
];

const Conditions = ({
  payment,
  set,
}: {
  payment: PaymentOption;
  set: (changes: Changes, visit?: string) => void;
}) => {
  const style = useStyles(styles);
  const field = fieldsOf(payment, (changes, _, visit: string) => set(changes, visit));
  const { countries } = payment;
  const toggled = (kind: ChoiceKind): ChoiceKind[] =>
    payment.for.includes(kind) ? payment.for.filter((one) => one !== kind) : [...payment.for, kind];
  return (
    <>
      <View
        style={style.checks}
        role="group"
        aria-label={t('{payment}: for orders that are', { payment: payment.name })}
      >
        {FOR.filter(({ kind }) => payment.kind !== 'at-pickup' || kind === 'pickup').map(
          ({ kind, label }) => (
            <Check
              key={kind}
              label={label}
              on={payment.for.includes(kind)}
              onPress={() => set({ for: toggled(kind) })}
            />
          ),
        )}
      </View>
      <View style={style.row}>
        <OptionalMoneyField
          right
          style={style.field}
          label={t('Up to a total of')}
          placeholder={t('any')}
          {...field('maxTotal')}
        />
        <DraftField
          style={style.name}
          label={t('Only in these countries')}
          placeholder={t('every country')}
          text={countries?.map(countryName).join(', ') ?? ''}
          read={readCountries}
          onChange={(list, visit) => set({ countries: list.length > 0 ? list : undefined }, visit)}
        />
      </View>
    </>
  );
};

const Payment = ({ payment, at, count }: { payment: PaymentOption; at: number; count: number }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { id, name, active = true } = payment;
  const set = (changes: Changes, visit: string | null = null): void => {
    dispatch(edit('setPayment', { id, changes }, t('Payment, {name}', { name }), visit));
  };
  const field = fieldsOf(payment, (changes, _, visit: string) => set(changes, visit));
  const remove = (): void => {
    dispatch(edit('removePayment', { id }, t('Remove {name}', { name })));
    dispatch(undoMessage(t('Removed {name}.', { name })));
  };
  const move = (by: number): void =>
    void dispatch(edit('movePayment', { id, by }, t('Move {name}', { name })));
  return (
    <View style={style.item} role="listitem" aria-label={name}>
      <View style={style.row}>
        <NameField style={style.name} label={t('Payment method')} prose {...field('name')} />
        <Segments
          label={t('When it is paid')}
          width={340}
          value={payment.kind}
          onChange={(kind) => set(kind === 'at-pickup' ? { kind, for: ['pickup'] } : { kind })}
          options={[
            { value: 'online', label: t('with the order') },
            { value: 'on-delivery', label: t('at the door') },
            { value: 'at-pickup', label: t('on collection') },
          ]}
        />
      </View>
      <Conditions payment={payment} set={set} />
      <WordsField
        prose
        label={t('What the customer is told')}
        placeholder={t('nothing')}
        value={payment.instructions ?? ''}
        most={2_000}
        onChange={(text, visit) => set({ instructions: text === '' ? undefined : text }, visit)}
      />
      {active ? null : <Text style={style.note}>{t('Switched off: customers are not offered it.')}</Text>}
      <Actions>
        <SwitchAction on={active} onSwitch={(on) => set({ active: on ? undefined : false })} />
        <MoveActions at={at} count={count} onMove={move} />
        <TextAction label={t('Remove {name}', { name })} onPress={remove} />
      </Actions>
    </View>
  );
};

/** How orders can be paid, and which choices and totals each way fits. */
export const Payments = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { payments } = useBookParts('payments');
  const add = (): void => {
    const payment = { name: t('Card'), kind: 'online' as const, for: FOR.map(({ kind }) => kind) };
    dispatch(edit('addPayment', { payment }, t('New payment method')));
  };
  return (
    <View>
      <Text style={style.note}>
        {payments.length === 0
          ? t(
              'There is no payment method yet, so the shopfront asks for none. Each can be limited to some choices, countries and totals.',
            )
          : t(
              'In places on the postal list, payment at the door is offered only where the list allows cash on delivery.',
            )}
      </Text>
      <View role="list" aria-label={t('Payment methods')}>
        {payments.map((payment, at) => (
          <Payment key={payment.id} payment={payment} at={at} count={payments.length} />
        ))}
      </View>
      <TextAction
        label={t('Add a payment method')}
        style={{ alignSelf: 'flex-start', marginLeft: -4, marginTop: 4 }}
        onPress={add}
      />
    </View>
  );
};
