import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import { regionsPhrase } from '../../../core/place/region-phrase.ts';
import { LinkPress } from '../../parts/link-press.tsx';
import { ZoneSwatch } from '../../parts/zone-swatch.tsx';
import { selectRatesByCell } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { usePlaceNames } from '../../places/use-place-names.ts';
import { useStyles } from '../../theme/styles.ts';
import { figure, note } from '../../theme/text.ts';
import { TOUCH, type Inks } from '../../theme/tokens.ts';
import { selectContests, selectZoneMarks } from './reach-selectors.ts';

const styles = (inks: Inks) => ({
  item: {
    flexDirection: 'row',
    gap: 12,
    paddingVertical: 10,
    minHeight: TOUCH,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  words: { flex: 1, minWidth: 0 },
  note: note(inks),
  figure: { ...figure, color: inks.ink },
  none: { color: inks.rubric },
  contest: { paddingVertical: 8, borderBottomWidth: 1, borderBottomColor: inks.hairline },
  head: { paddingTop: 20, paddingBottom: 6, borderBottomWidth: 1, borderBottomColor: inks.ink },
});

/** The zones with their marks, places and services; each leads to where its places are edited. */
export const ZoneList = () => {
  const style = useStyles(styles);
  const { zones, services } = useBookParts('zones', 'services');
  const rates = useAppSelector(selectRatesByCell);
  const marks = useAppSelector(selectZoneMarks);
  const names = usePlaceNames();
  return (
    <View role="list" aria-label={t('Zones')}>
      {zones.map((zone) => {
        const count = services.filter(({ id }) => rates.get(`${id}/${zone.id}`)?.active).length;
        const places = regionsPhrase(zone.includes, names);
        const words = zone.remainder
          ? t('places in no other zone')
          : places === ''
            ? t('no places yet')
            : places;
        return (
          <View role="listitem" key={zone.id}>
            <LinkPress
              to={{ pathname: '/charges', params: { zone: zone.id, panel: 'zone' } }}
              aria-label={t('{zone}: {words}. To its places', { zone: zone.name, words })}
            >
              <View style={style.item}>
                <ZoneSwatch mark={marks.get(zone.id)} />
                <View style={style.words}>
                  <Text>{zone.name}</Text>
                  <Text style={style.note}>
                    {zone.active ? words : t('switched off · {words}', { words })}
                  </Text>
                </View>
                <Text style={[style.figure, count === 0 ? style.none : null]}>
                  {t('{count, plural, one {# service} other {# services}}', { count })}
                </Text>
              </View>
            </LinkPress>
          </View>
        );
      })}
    </View>
  );
};

/** What more than one zone names, and which has it. */
export const ContestList = () => {
  const style = useStyles(styles);
  const names = usePlaceNames();
  const contests = useAppSelector(selectContests);
  if (contests.length === 0) return null;
  return (
    <View>
      <View style={style.head}>
        <Text style={style.note}>
          {t('Listed in more than one zone, {count}', { count: contests.length })}
        </Text>
      </View>
      <View role="list" aria-label={t('Listed in more than one zone')}>
        {contests.map(({ country, entry, winner, losers }) => (
          <View role="listitem" key={`${country}:${entry}`} style={style.contest}>
            <Text>
              {t('{place} goes to {winner}', {
                place:
                  entry === country || entry.startsWith(`${country}-`)
                    ? names(entry)
                    : labelled(names(country), entry),
                winner: winner.name,
              })}
            </Text>
            <Text style={style.note}>
              {t('not to {list}', { list: losers.map((zone) => zone.name).join(', ') })}
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
};
