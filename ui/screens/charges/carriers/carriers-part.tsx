import { lazy, useEffect, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { listedCarrier, CARRIERS } from '../../../../carriers/directory.ts';
import type { CarrierAccount } from '../../../../core/model/carrier.ts';
import { readTroublesSet } from '../../../carriers/reach-carriers.ts';
import { Press } from '../../../parts/press.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { edit } from '../../../state/draft.ts';
import { useAppDispatch } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../../../theme/tokens.ts';
import { Later } from '../../../parts/later.tsx';
import { Actions } from '../../../parts/actions.tsx';

const Troubles = lazy(() => import('./troubles.tsx'));

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingTop: 12 },
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { paddingVertical: 10, minHeight: TOUCH },
  name: { fontFamily: SANS_STRONG },
  about: note(inks),
  sandbox: { ...note(inks), color: inks.doubt },
  actions: { marginTop: 8 },
});

const AccountRow = ({ account, onOpen }: { account: CarrierAccount; onOpen: () => void }) => {
  const style = useStyles(styles);
  const { rates, locations } = useBookParts('rates', 'locations');
  const priced = rates.filter(
    ({ price }) => price.kind === 'carrier' && price.accountId === account.id,
  ).length;
  const about = listedCarrier(account.carrier)?.about;
  const from = locations.find(({ id }) => id === account.locationId)?.name ?? '';
  return (
    <View style={style.item} role="listitem">
      <Press role="link" aria-label={account.name} onPress={onOpen}>
        <View style={style.row}>
          <Text style={style.name}>{account.name}</Text>
          <Text style={style.about}>
            {t('{carrier} · from {from}', { carrier: about ? t(about) : account.carrier, from })} ·{' '}
            {priced === 0
              ? t('prices no rate')
              : t('prices {priced, plural, one {# rate} other {# rates}}', { priced })}
            {account.mode === 'sandbox' ? <Text style={style.sandbox}>{t(' · sandbox')}</Text> : t(' · live')}
          </Text>
        </View>
      </Press>
    </View>
  );
};

/** The accounts with carriers, and how to add one. */
const CarriersPart = ({ onOpen }: { onOpen: (id: string) => void }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { carriers, locations } = useBookParts('carriers', 'locations');
  const [troubles, setTroubles] = useState(false);
  useEffect(() => {
    void readTroublesSet().then((set) => set.length > 0 && setTroubles(true));
  }, []);
  return (
    <View>
      <Text style={style.note}>
        {carriers.length === 0
          ? t(
              'A carrier prices each order by itself: what is in it, how it is packed and where it goes. Add an account, then price a rate of the board by it.',
            )
          : t(
              'Each account is one contract with a carrier: where parcels leave from, how they are packed, and whether its prices are for trying out or real.',
            )}
      </Text>
      <View role="list" aria-label={t('Carrier accounts')}>
        {carriers.map((account) => (
          <AccountRow key={account.id} account={account} onOpen={() => onOpen(account.id)} />
        ))}
      </View>
      {locations.length === 0 ? (
        <Text style={style.note}>
          {t('An account ships from a location, and there is none yet: add one under Settings first.')}
        </Text>
      ) : (
        <Actions style={style.actions}>
          {CARRIERS.map(({ id, name }) => (
            <TextAction
              key={id}
              label={t('Add {name}', { name })}
              onPress={() =>
                dispatch(edit('addAccount', { name, carrier: id }, t('New account with {name}', { name })))
              }
            />
          ))}
        </Actions>
      )}
      <TextAction
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        label={troubles ? t('Hide') : t('Let a carrier fail, to see what happens')}
        onPress={() => setTroubles(!troubles)}
      />
      {troubles ? (
        <Later>
          <Troubles />
        </Later>
      ) : null}
    </View>
  );
};
export default CarriersPart;
