import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import type { Destination } from '../../core/model/place.ts';
import { locate, type Gazetteer } from '../../gazetteer/locate.ts';
import { contradictedBy, withSubdivision } from '../../core/place/subdivision-of-code.ts';
import { countryName } from '../../core/words/country-name.ts';
import { subdivisionName, useWorldPlaces } from '../places/places.ts';
import { located, useGazetteer } from '../places/use-gazetteer.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { Chooser } from '../parts/chooser.tsx';
import { DraftField } from './draft-field.tsx';
import { WordsField } from './kind-fields.tsx';
import { pointText, readPoint, type Point } from './point-reader.ts';
import { optional } from './readers.ts';
import { TextAction } from '../parts/text-action.tsx';

interface Props {
  destination: Destination;
  onChange: (next: Destination, visit: string | null) => void;
  /** Whether the street is asked for too. */
  street?: boolean;
}

const styles = (inks: Inks) => ({
  note: note(inks),
  fault: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 } as const,
  faultText: { ...note(inks), color: inks.rubric },
});

/** What the gazetteer knows of an address, and what is told by where it is on the map. */
const knownText = (gazetteer: Gazetteer, destination: Destination): string => {
  const found = locate(gazetteer, destination);
  if (found) return t('On the map at {place} ({code}).', { place: found.name, code: found.code });
  return destination.point
    ? t('This code is not on the built-in map; its point is the one written here.')
    : t(
        'This code is not on the built-in map: until its coordinates are written, no distance can be worked out, and no area drawn on the map includes it.',
      );
};

/** The point of an address, written by hand. */
const Coordinates = ({ destination, onChange }: Omit<Props, 'street'>) => (
  <DraftField
    style={{ maxWidth: 260 }}
    label={t('Coordinates: latitude, longitude')}
    placeholder={t('not known')}
    text={pointText(destination.point)}
    read={optional<Point>(readPoint)}
    onChange={(point, visit) => onChange({ ...destination, point }, visit)}
  />
);

/** An address with another postal code: a region that only followed from the code goes with it. */
const withCode = (destination: Destination, postalCode: string): Destination => {
  const { subdivision, ...rest } = destination;
  const followed = withSubdivision(rest).subdivision === subdivision;
  return { ...rest, ...(subdivision === undefined || followed ? {} : { subdivision }), postalCode };
};

const row = { flexDirection: 'row', gap: 12 } as const;
const half = { flex: 1 } as const;

/** The country, and its province or state where it has any. */
const CountryAndRegion = ({ destination, onChange }: Omit<Props, 'street'>) => {
  const places = useWorldPlaces();
  const { subdivision, point: _, ...lasting } = destination;
  const { country } = destination;
  const subdivisions = places?.subdivisions.get(country) ?? [];
  return (
    <View style={row}>
      <Chooser
        label={t('Country')}
        chosen={countryName(country)}
        options={(places?.countries ?? []).map(({ code, name }) => ({ id: code, name }))}
        onChoose={(code) => onChange(located({ ...lasting, country: code }), null)}
      />
      {subdivisions.length > 0 ? (
        <Chooser
          label={t('Province or state')}
          chosen={subdivisions.find((one) => one.code === subdivision)?.name ?? subdivision ?? ''}
          options={[
            { id: '', name: t('Not given'), note: '' },
            ...subdivisions.map(({ code, name }) => ({ id: code, name })),
          ]}
          onChoose={(code) => onChange({ ...destination, subdivision: code === '' ? undefined : code }, null)}
        />
      ) : null}
    </View>
  );
};

/** A postal code that lies in another region than the one that is given. */
const Contradicted = ({ destination, onChange }: Omit<Props, 'street'>) => {
  const style = useStyles(styles);
  const { postalCode, subdivision = '' } = destination;
  const contradicted = contradictedBy(destination);
  if (contradicted === null) return null;
  return (
    <View style={style.fault} role="alert">
      <Text style={style.faultText}>
        {t('{postalCode} is in {region}, not in {chosen}.', {
          postalCode: postalCode ?? '',
          region: subdivisionName(contradicted) ?? contradicted,
          chosen: subdivisionName(subdivision) ?? subdivision,
        })}
      </Text>
      <TextAction
        label={t('Use {region}', { region: subdivisionName(contradicted) })}
        onPress={() => onChange({ ...destination, subdivision: contradicted }, null)}
      />
    </View>
  );
};

/** A place in the draft, edited where it stands: code, town, country, region and, where wanted, street. */
export const PlaceFields = ({ destination, onChange, street = false }: Props) => {
  const style = useStyles(styles);
  const { country, postalCode = '', city = '', lines = [] } = destination;
  const gazetteer = useGazetteer(country);
  const isKnown = gazetteer !== null && locate(gazetteer, destination) !== null;
  const setCode = (code: string, visit: string): void => {
    const next = located(withCode(destination, code));
    // A point that no code gave is the person's own, and stays until a code gives one.
    const own = isKnown || !destination.point ? {} : { point: destination.point };
    onChange({ ...own, ...next }, visit);
  };
  return (
    <View style={{ gap: 8 }}>
      {street ? (
        <WordsField
          label={t('Street and number')}
          prose
          value={lines.join(', ')}
          most={200}
          onChange={(text, visit) =>
            onChange({ ...destination, lines: text.trim() === '' ? undefined : [text] }, visit)
          }
        />
      ) : null}
      <View style={row}>
        <WordsField style={half} label={t('Postal code')} value={postalCode} most={20} onChange={setCode} />
        <WordsField
          style={half}
          label={t('Town')}
          prose
          value={city}
          most={120}
          onChange={(town, visit) => onChange({ ...destination, city: town }, visit)}
        />
      </View>
      <CountryAndRegion destination={destination} onChange={onChange} />
      <Contradicted destination={destination} onChange={onChange} />
      {gazetteer === null || postalCode === '' ? null : (
        <Text style={style.note}>{knownText(gazetteer, destination)}</Text>
      )}
      {!street && (gazetteer === null || isKnown) ? null : (
        <Coordinates destination={destination} onChange={onChange} />
      )}
    </View>
  );
};
