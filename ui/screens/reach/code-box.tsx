import { t } from '../../../core/translate/translate.ts';
import { patternName } from '../../../core/place/written-code.ts';
import { entryName, type PlaceNames } from '../../../core/place/region-phrase.ts';
import { entryPhrase } from '../../../core/place/zone-index.ts';
import { useState } from 'react';
import { View } from 'react-native';
import { Text, TextInput } from 'react-native-paper';
import type { Whereabouts } from '../../../core/coverage/whereabouts.ts';
import { Chooser } from '../../parts/chooser.tsx';
import { countryName } from '../../../core/words/country-name.ts';
import { codeExamples } from '../../places/code-examples.ts';
import { type WorldPlaces } from '../../places/places.ts';
import { useGazetteer } from '../../places/use-gazetteer.ts';
import { ZoneSwatch } from '../../parts/zone-swatch.tsx';
import { selectBook } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { usePlaceNames } from '../../places/use-place-names.ts';
import { useStyles } from '../../theme/styles.ts';
import { figure, note } from '../../theme/text.ts';
import { SERIF, type Inks } from '../../theme/tokens.ts';
import { selectWhereabouts, selectZoneMarks } from './reach-selectors.ts';

const MOST_SHOWN = 200;

const styles = (inks: Inks) => ({
  all: { gap: 8, paddingVertical: 16 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 } as const,
  codes: { flexGrow: 2, flexBasis: 220 },
  country: { flexGrow: 1, flexBasis: 160, flexDirection: 'row' } as const,
  label: { ...note(inks), marginBottom: 2 },
  input: { backgroundColor: inks.raised },
  item: {
    flexDirection: 'row',
    gap: 12,
    paddingVertical: 10,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  answer: { flex: 1, fontFamily: SERIF, fontSize: 15, lineHeight: 22 },
  fault: { color: inks.rubric },
  note: note(inks),
});

/** What the postal list says, where it has lines for the country. */
const postalText = ({ served, rule, isListed }: Whereabouts['postal'], country: string): string | null => {
  if (!isListed) return null;
  if (!rule)
    return served ? t('Not on the postal list, and served.') : t('Not on the postal list: not served.');
  const pattern = patternName(country, rule.pattern);
  if (!served) return t('Not served, by {pattern} of the postal list.', { pattern });
  const days =
    rule.days === undefined ? '' : t(', {days, plural, one {# day} other {# days}}', { days: rule.days });
  return t('Served by {pattern} of the postal list{days}{payment}.', {
    pattern,
    days,
    payment: rule.cashOnDelivery ? t(', cash on delivery') : '',
  });
};

/** The answer in the order in which a quote asks: sold to or not, the zone and why, who else names it, what ships. */
export const answerText = (
  { sold, zone, alsoIn, services, place, assumedSubdivision, postal, areas, pickups }: Whereabouts,
  names: PlaceNames,
): string[] => {
  const { country } = place;
  const collected =
    pickups.length > 0 ? [t('Collected: {list}.', { list: pickups.map(({ name }) => name).join(', ') })] : [];
  const brought = areas.map(({ area, because }) =>
    t('Delivered by {area}, by {coverage}.', {
      area: area.name,
      coverage:
        because === 'shape'
          ? t('its shape')
          : because === 'radius'
            ? t('its radius')
            : patternName(country, because),
    }),
  );
  if (!sold) return [t('You do not sell here.')];
  const listed = postalText(postal, country);
  if (!postal.served) return [listed ?? '', ...collected];
  const nearby = [...brought, ...collected];
  if (!zone)
    return nearby.length > 0
      ? [t('You sell here, but no zone includes it.'), ...nearby]
      : [t('You sell here, but no zone includes it: the customer cannot buy.')];
  const taken = assumedSubdivision ? t(', in {name}', { name: names(place.subdivision ?? '') }) : '';
  const named = alsoIn
    .map((one) =>
      t('{zone} (by {entryName})', { zone: one.zone.name, entryName: entryName(one.entry, names, country) }),
    )
    .join(', ');
  return [
    t('You sell here{taken}.{listed} Zone {zone}, {entry}.', {
      taken,
      listed: listed === null ? '' : ` ${listed}`,
      zone: zone.zone.name,
      entry: entryPhrase(zone, names, country),
    }),
    ...(named === '' ? [] : [t('Also listed in {zones}.', { zones: named })]),
    ...nearby,
    services.length > 0
      ? t('Ships by {list}.', { list: services.map((service) => service.name).join(', ') })
      : nearby.length > 0
        ? t('Nothing ships there.')
        : t('Nothing ships there: the customer cannot buy.'),
  ];
};

const Answer = ({ code, found }: { code: string; found: Whereabouts }) => {
  const style = useStyles(styles);
  const marks = useAppSelector(selectZoneMarks);
  const nearby = found.pickups.length + found.areas.length;
  const cannot =
    nearby === 0 && (!found.sold || !found.postal.served || !found.zone || found.services.length === 0);
  const names = usePlaceNames();
  const lines = answerText(found, names);
  return (
    <View style={style.item} role="listitem">
      <ZoneSwatch mark={found.sold && found.zone ? marks.get(found.zone.zone.id) : undefined} />
      <Text style={style.answer}>
        <Text style={figure}>{code}</Text>
        {'  '}
        {lines.slice(0, -1).join(' ')}{' '}
        <Text style={[style.answer, cannot ? style.fault : null]}>{lines.at(-1)}</Text>
      </Text>
    </View>
  );
};

/** Where would this code fall? For one code or for many that are pasted. */
export const CodeBox = ({ places, asked }: { places: WorldPlaces | null; asked: string }) => {
  const style = useStyles(styles);
  const home = useAppSelector((state) => selectBook(state).locations[0]?.address.country ?? 'CA');
  const [text, setText] = useState(asked);
  const [country, setCountry] = useState(home);
  const gazetteer = useGazetteer(country);
  const found = useAppSelector((state) => selectWhereabouts(state, country, text, gazetteer));
  return (
    <View style={style.all}>
      <View style={style.row}>
        <View style={style.codes}>
          <Text style={style.label}>{t('Where would this code fall? One, or many pasted')}</Text>
          <TextInput
            mode="outlined"
            dense
            multiline
            numberOfLines={Math.min(6, Math.max(1, text.split('\n').length))}
            value={text}
            onChangeText={setText}
            placeholder={codeExamples(country)?.whole}
            aria-label={t('Where would this code fall?')}
            accessibilityLabel={t('Where would this code fall?')}
            style={style.input}
            contentStyle={{ ...figure, paddingVertical: 8 }}
          />
        </View>
        <View style={style.country}>
          <Chooser
            label={t('Country of the codes')}
            height={48}
            chosen={countryName(country)}
            options={(places?.countries ?? []).map(({ code, name }) => ({ id: code, name }))}
            onChoose={setCountry}
          />
        </View>
      </View>
      <View role="list" aria-label={t('Where the codes fall')}>
        {found.slice(0, MOST_SHOWN).map(({ code, where }) => (
          <Answer key={code} code={code} found={where} />
        ))}
      </View>
      {found.length > MOST_SHOWN ? (
        <Text style={style.note}>
          {t('{count} more are not shown.', { count: found.length - MOST_SHOWN })}
        </Text>
      ) : null}
    </View>
  );
};
