import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Book } from '../../../core/model/book.ts';
import type { Zone } from '../../../core/model/place.ts';
import { regionsPhrase, type PlaceNames } from '../../../core/place/region-phrase.ts';
import { currencyDecimals, percentFigure } from '../../../core/words/figure.ts';
import { areaPricePhrase, coveragePhrase } from '../../../core/price/nearby-phrase.ts';
import { ratePhrase } from '../../../core/price/rate-phrase.ts';
import { usePlaceNames } from '../../places/use-place-names.ts';
import { useStyles } from '../../theme/styles.ts';
import { figure, note } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';

const styles = (inks: Inks) => ({
  zone: { paddingVertical: 8, borderBottomWidth: 1, borderBottomColor: inks.hairline },
  name: { fontFamily: SANS_STRONG },
  note: note(inks),
  row: { flexDirection: 'row', justifyContent: 'space-between', gap: 12 } as const,
  figure,
});

const reachText = ({ store, zones, areas, pickups }: Book): string =>
  store.sellsTo.mode === 'everywhere'
    ? t('It sells everywhere.')
    : t('It sells to {count, plural, one {# country} other {# countries}}; all others cannot order.', {
        count: store.sellsTo.countries.length,
      }) + (zones.length + areas.length + pickups.length === 0 ? t(' No zone has a rate yet.') : '');

/** Where the orders leave from, and how often. */
const leavesText = ({ locations }: Book): string =>
  t('Orders leave from {location}, open {days, plural, one {# day} other {# days}} a week.', {
    location: locations[0]?.name ?? t('nowhere yet'),
    days: new Set(locations.flatMap(({ hours }) => hours.map(({ day }) => day))).size,
  });

/** The places of a zone, unless its name says the same. */
const placesText = ({ name, remainder, includes }: Zone, names: PlaceNames): string => {
  if (remainder) return t('places in no other zone');
  const phrase = regionsPhrase(includes, names);
  return phrase === name ? '' : phrase;
};

/** The book that the answers make, in the words of the board, before it is used. */
export const BeginReview = ({ book }: { book: Book }) => {
  const style = useStyles(styles);
  const names = usePlaceNames();
  const display = { decimals: currencyDecimals(book.store.currency), units: book.store.units };
  const nameOf = new Map(book.services.map(({ id, name }) => [id, name]));
  return (
    <View role="region" aria-label={t('The first book')}>
      <Text>
        {reachText(book)} {leavesText(book)}
      </Text>
      {book.zones.map((zone) => (
        <View key={zone.id} style={style.zone}>
          <Text>
            <Text style={style.name}>{zone.name}</Text>{' '}
            <Text style={style.note}>{placesText(zone, names)}</Text>
          </Text>
          {book.rates
            .filter((rate) => rate.zoneId === zone.id)
            .map((rate) => (
              <View key={rate.id} style={style.row}>
                <Text>{[nameOf.get(rate.serviceId), ...ratePhrase(rate, display).notes].join(', ')}</Text>
                <Text style={style.figure}>{ratePhrase(rate, display).price}</Text>
              </View>
            ))}
        </View>
      ))}
      {book.areas.map((area) => (
        <View key={area.id} style={style.zone}>
          <Text>
            <Text style={style.name}>{area.name}</Text>{' '}
            <Text style={style.note}>{coveragePhrase(area.covers, display)}</Text>
          </Text>
          <View style={style.row}>
            <Text>{area.methods.map(({ name }) => name).join(', ')}</Text>
            <Text style={style.figure}>{areaPricePhrase(area, display)}</Text>
          </View>
        </View>
      ))}
      {book.pickups.map((point) => (
        <View key={point.id} style={[style.zone, style.row]}>
          <Text style={style.name}>{point.name}</Text>
          <Text style={style.figure}>{t('free')}</Text>
        </View>
      ))}
      {book.taxes.map((tax) => (
        <Text key={tax.id} style={style.note}>
          {t(
            '{tax}, {percent}, {included, select, true {within the prices and charges at home} other {added at checkout to prices and charges at home}}.',
            {
              tax: tax.name,
              percent: percentFigure(tax.points),
              included: String(book.store.pricesIncludeTax),
            },
          )}
        </Text>
      ))}
    </View>
  );
};
