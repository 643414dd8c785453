import { lazy } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { listedCarrier } from '../../../../carriers/directory.ts';
import type { CarrierAccount } from '../../../../core/model/carrier.ts';
import { Chooser } from '../../../parts/chooser.tsx';
import {
  NameField,
  OptionalMeasureField,
  OptionalPercentField,
  SecondsField,
} from '../../../fields/kind-fields.tsx';
import { PackingFields } from '../../../fields/packing-fields.tsx';
import { Page } from '../../../page/page.tsx';
import { Section } from '../../../parts/section.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { Later } from '../../../parts/later.tsx';
import { PageHead } from '../../../page/page-head.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { useAppDispatch } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { Credentials } from './credentials.tsx';
import { fieldsOf } from '../../../fields/fields-of.ts';

const Samples = lazy(() => import('./samples.tsx'));
const Proposal = lazy(() => import('./proposal.tsx'));
const BookTestOrder = lazy(() => import('./book-test-order.tsx'));

type Changes = Partial<Omit<CarrierAccount, 'id'>>;
export type SetAccount = (changes: Changes, visit?: string | null) => void;

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingTop: 8 },
  sandbox: { ...note(inks), color: inks.doubt, paddingTop: 8 },
  rows: { gap: 12, paddingTop: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  name: { width: 344, maxWidth: '100%' } as const,
  field: { width: 168 },
  choice: { flexDirection: 'row', width: 240 } as const,
});

interface PartProps {
  account: CarrierAccount;
  set: SetAccount;
}

/** What orders are packed into for this carrier, and whether shipments are booked with it. */
const PackingAndBooking = ({ account, set }: PartProps) => {
  const field = fieldsOf(account, (changes, _, visit: string) => set(changes, visit));
  const style = useStyles(styles);
  return (
    <View style={style.rows}>
      <PackingFields
        packing={account.packing}
        carrier={account.carrier}
        onChange={(packing, visit) => set({ packing }, visit)}
      />
      <View style={style.row}>
        <OptionalMeasureField
          right
          style={style.field}
          label={t('Minimum parcel weight')}
          placeholder={t('no minimum')}
          {...field('leastParcelWeight')}
          measure="weight"
        />
        <Segments
          label={t('Used for')}
          width={340}
          value={account.books ? 'books' : 'prices'}
          onChange={(books) => set({ books: books === 'books' })}
          options={[
            { value: 'prices', label: t('prices only') },
            { value: 'books', label: t('prices and booking') },
          ]}
        />
      </View>
    </View>
  );
};

/** Under which contract the carrier is asked, in earnest or not, and how long its answer is waited for. */
const Contract = ({ account, set }: PartProps) => {
  const field = fieldsOf(account, (changes, _, visit: string) => set(changes, visit));
  const style = useStyles(styles);
  return (
    <View style={style.rows}>
      <Credentials account={account} set={set} />
      <View style={style.row}>
        <Segments
          label={t('Its answers are')}
          width={340}
          value={account.mode}
          onChange={(mode) => set({ mode })}
          options={[
            { value: 'sandbox', label: t('sandbox, for trying') },
            { value: 'live', label: t('live') },
          ]}
        />
        <SecondsField
          right
          style={style.field}
          label={t('Time-out, seconds')}
          {...field('timeoutMs')}
          least={100}
          most={60_000}
        />
      </View>
      {account.mode === 'sandbox' ? (
        <Text style={style.sandbox}>
          {t(
            'Sandbox prices are for trying out: the preview and the shopfront mark them, and labels are not for shipping.',
          )}
        </Text>
      ) : null}
    </View>
  );
};

/** Where parcels leave from and how, to what kind of address, and what they are declared to be worth. */
const Origin = ({ account, set }: PartProps) => {
  const field = fieldsOf(account, (changes, _, visit: string) => set(changes, visit));
  const style = useStyles(styles);
  const { locations } = useBookParts('locations');
  return (
    <View style={style.rows}>
      <View style={style.row}>
        <View style={style.choice}>
          <Chooser
            label={t('Ships from')}
            chosen={locations.find(({ id }) => id === account.locationId)?.name ?? ''}
            options={locations.map(({ id, name, address }) => ({ id, name, note: address.postalCode ?? '' }))}
            onChoose={(locationId) => set({ locationId })}
          />
        </View>
        <OptionalPercentField
          right
          style={style.field}
          label={t('Declared value')}
          placeholder={t('of the products, %')}
          {...field('insure')}
          sign
        />
        <Segments
          label={t('Parcels are')}
          width={260}
          value={account.handover}
          onChange={(handover) => set({ handover })}
          options={[
            { value: 'collected', label: t('collected') },
            { value: 'dropped-off', label: t('dropped off') },
          ]}
        />
      </View>
      <Segments
        label={t('Addresses count as')}
        value={account.address}
        onChange={(address) => set({ address })}
        options={[
          { value: 'residential', label: t('homes') },
          { value: 'business', label: t('businesses') },
          { value: 'as-given', label: t('as each order says') },
        ]}
      />
    </View>
  );
};

const Remove = ({ account, onBack }: { account: CarrierAccount; onBack: () => void }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { rates } = useBookParts('rates');
  const { id, name } = account;
  const used = rates.filter(({ price }) => price.kind === 'carrier' && price.accountId === id).length;
  const remove = (): void => {
    dispatch(edit('removeAccount', { id }, t('Remove {name}', { name })));
    dispatch(undoMessage(t('Removed {name}.', { name })));
    onBack();
  };
  if (used > 0)
    return (
      <Text style={style.note}>
        {t(
          'It prices {used, plural, one {# rate} other {# rates}}: give those another price before it can be removed.',
          { used },
        )}
      </Text>
    );
  return (
    <TextAction
      style={{ alignSelf: 'flex-start', marginLeft: -4 }}
      label={t('Remove the account')}
      onPress={remove}
    />
  );
};

/** One account with a carrier: credentials, shipping and packing, what it would cost to sample places, and a shipment booked. */
const AccountPage = ({ account, onBack }: { account: CarrierAccount; onBack: () => void }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { id, name } = account;
  const set: SetAccount = (changes, visit = null) =>
    void dispatch(edit('setAccount', { id, changes }, t('Account, {name}', { name }), visit));
  const field = fieldsOf(account, (changes, _, visit: string) => set(changes, visit));
  const about = listedCarrier(account.carrier)?.about;
  return (
    <Page key={id}>
      <PageHead title={name} back={{ name: t('Carriers'), onPress: onBack }} />
      <Text style={style.note}>{about ? t(about) : account.carrier}</Text>
      <View style={style.rows}>
        <NameField prose style={style.name} label={t('Name')} {...field('name')} />
      </View>
      <Section title={t('Packing and booking')} />
      <PackingAndBooking account={account} set={set} />
      <Section title={t('Contract')} />
      <Contract account={account} set={set} />
      <Section title={t('Origin and hand-over')} />
      <Origin account={account} set={set} />
      <Section title={t('What it would cost')} />
      <Later>
        <Samples account={account} />
      </Later>
      <Section title={t('A table from the carrier')} />
      <Later>
        <Proposal account={account} />
      </Later>
      {account.books ? (
        <>
          <Section title={t('Book a shipment')} />
          <Later>
            <BookTestOrder account={account} />
          </Later>
        </>
      ) : null}
      <Section title={t('Remove')} />
      <Remove account={account} onBack={onBack} />
    </Page>
  );
};
export default AccountPage;
