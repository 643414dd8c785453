import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { listedCarrier } from '../../../../carriers/directory.ts';
import type { CarrierPrice, CarrierService } from '../../../../core/model/price.ts';
import { Chooser } from '../../../parts/chooser.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { useStyles } from '../../../theme/styles.ts';
import { SANS_STRONG } from '../../../theme/tokens.ts';
import { FallbackFields } from './fallback-fields.tsx';
import { ServiceOffer } from './service-offer.tsx';
import { useBookParts } from '../../../state/use-book-parts.ts';

interface Props {
  price: CarrierPrice;
  onChange: (price: CarrierPrice, visit: string | null) => void;
}

const styles = () => ({
  all: { gap: 12 },
  head: { fontFamily: SANS_STRONG, fontSize: 13, lineHeight: 18 },
  link: { alignSelf: 'flex-start', marginLeft: -4 } as const,
});

/** The services of a carrier's that can be offered: its own, and any that the rate lists beside them. */
const listed = (carrier: string, services: readonly CarrierService[]): { code: string; name: string }[] => {
  const own = listedCarrier(carrier)?.services ?? [];
  const more = services.filter(({ code }) => !own.some((one) => one.code === code));
  return [...own, ...more.map(({ code, label }) => ({ code, name: label ?? code }))];
};

/** The services of a carrier, each offered or not. */
const ServicesOffered = ({
  carrier,
  services,
  onChange,
}: {
  carrier: string;
  services: CarrierService[];
  onChange: (services: CarrierService[], visit: string | null) => void;
}) => {
  const style = useStyles(styles);
  return (
    <>
      <Text style={style.head}>{t('Services offered')}</Text>
      <View role="group" aria-label={t('Services offered')}>
        {listed(carrier, services).map(({ code, name }) => (
          <ServiceOffer
            key={code}
            name={name}
            offered={services.find((one) => one.code === code)}
            onToggle={() =>
              onChange(
                services.some((one) => one.code === code)
                  ? services.filter((one) => one.code !== code)
                  : [...services, { code }],
                null,
              )
            }
            onChange={(next, visit) =>
              onChange(
                services.map((one) => (one.code === code ? next : one)),
                visit,
              )
            }
          />
        ))}
      </View>
    </>
  );
};

/** A price that a carrier works out: which of its services are offered, how their prices are changed, and what if it does not answer. */
const CarrierFields = ({ price, onChange }: Props) => {
  const style = useStyles(styles);
  const router = useRouter();
  const { carriers } = useBookParts('carriers');
  const account = carriers.find(({ id }) => id === price.accountId);
  return (
    <View style={style.all}>
      <View style={{ flexDirection: 'row', maxWidth: 300 }}>
        <Chooser
          label={t('Priced by the account')}
          chosen={account?.name ?? ''}
          options={carriers.map(({ id, name, mode }) => ({ id, name, note: mode }))}
          onChoose={(accountId) => onChange({ ...price, accountId, services: [] }, null)}
        />
      </View>
      <TextAction
        style={style.link}
        label={t('Go to the account')}
        onPress={() =>
          router.navigate({ pathname: '/charges', params: { part: 'carriers', account: price.accountId } })
        }
      />
      <ServicesOffered
        carrier={account?.carrier ?? ''}
        services={price.services}
        onChange={(services, visit) => onChange({ ...price, services }, visit)}
      />
      <Segments
        label={t('Shown at checkout')}
        value={price.show}
        onChange={(show) => onChange({ ...price, show }, null)}
        options={[
          { value: 'all', label: t('all of them') },
          { value: 'cheapest', label: t('only the cheapest') },
          { value: 'fastest', label: t('only the fastest') },
        ]}
      />
      <FallbackFields
        title={t('If the carrier does not answer')}
        fallback={price.onError}
        onChange={(onError, visit) => onChange({ ...price, onError }, visit)}
      />
      <FallbackFields
        title={t('If it offers none of these services')}
        fallback={price.onNone}
        onChange={(onNone, visit) => onChange({ ...price, onNone }, visit)}
      />
    </View>
  );
};
export default CarrierFields;
