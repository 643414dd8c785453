import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button, Text, TextInput } from 'react-native-paper';
import type { Region } from '../../core/model/place.ts';
import { pastedPatterns } from '../../core/place/pasted-patterns.ts';
import { withoutRegion, withPatterns, withRegion } from '../../core/place/region-list.ts';
import { regionsText } from '../../core/place/region-phrase.ts';
import { countFigure } from '../../core/words/figure.ts';
import { countryName } from '../../core/words/country-name.ts';
import { useWorldPlaces, type WorldPlaces } from '../places/places.ts';
import { codeForm } from '../places/whole-code.ts';
import { selectBook } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { FIELD_OUTLINE, note } from '../theme/text.ts';
import { FINGER, SANS_STRONG, SERIF, type Inks } from '../theme/tokens.ts';
import { Chooser, type Option } from '../parts/chooser.tsx';
import { DraftField } from './draft-field.tsx';
import { readRegions } from './readers.ts';
import { TextAction } from '../parts/text-action.tsx';
import { IconAction } from '../parts/icon-action.tsx';

interface Props {
  /** What the regions are: 'Takes', 'Except'. */
  label: string;
  /** Where there are none. */
  none: string;
  regions: readonly Region[];
  onChange: (regions: Region[], visit: string | null) => void;
}

const styles = (inks: Inks) => ({
  all: { gap: 6 },
  head: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 } as const,
  label: { fontFamily: SANS_STRONG, fontSize: 13, lineHeight: 18 },
  entry: {
    flexDirection: 'row',
    alignItems: 'center',
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
    minHeight: FINGER,
  } as const,
  words: { flex: 1 },
  codes: { fontFamily: SERIF, fontSize: 15, lineHeight: 20 },
  note: note(inks),
  fault: { color: inks.rubric, fontSize: 13, lineHeight: 18 },
  input: { backgroundColor: inks.raised },
  paste: { gap: 8, paddingVertical: 8 },
});

const MOST_CODES = 24;

const nameOf = (places: WorldPlaces | null, { country, subdivision }: Region): string => {
  if (subdivision === undefined) return countryName(country);
  const name = places?.subdivisions.get(country)?.find(({ code }) => code === subdivision)?.name;
  return `${name ?? subdivision}, ${countryName(country)}`;
};

/** Every country and every subdivision of the world, to be found by name or code. */
const optionsOf = (places: WorldPlaces | null): Option[] => [
  ...(places?.groups ?? []).map(({ id, name, countries }) => ({
    id,
    name,
    note: countFigure(countries.length, 'country', 'countries'),
  })),
  ...(places?.countries ?? []).flatMap(({ code, name }) => [
    { id: code, name },
    ...(places?.subdivisions.get(code) ?? []).map((one) => ({
      id: one.code,
      name: `${one.name}, ${name}`,
    })),
  ]),
];

const Entries = ({ regions, onChange }: Pick<Props, 'regions' | 'onChange'>) => {
  const style = useStyles(styles);
  const places = useWorldPlaces();
  return regions.map((region, at) => {
    const { postal } = region;
    const name = postal
      ? `${countFigure(postal.length, 'code')} in ${countryName(region.country)}`
      : nameOf(places, region);
    return (
      <View style={style.entry} key={`${region.country}-${region.subdivision ?? ''}-${at}`} role="listitem">
        <View style={style.words}>
          <Text>{name}</Text>
          {postal ? (
            <Text style={style.codes}>
              {postal.slice(0, MOST_CODES).join('  ')}
              {postal.length > MOST_CODES ? `  and ${postal.length - MOST_CODES} more` : ''}
            </Text>
          ) : null}
        </View>
        <IconAction
          icon="close"
          size={18}
          accessibilityLabel={`Remove ${name}`}
          onPress={() => onChange(withoutRegion(regions, at), null)}
        />
      </View>
    );
  });
};

/** The country of pasted codes where there is no doubt: that of the regions, else the one the shop ships from. */
const onlyCountry = (
  regions: readonly Region[],
  locations: readonly { address: { country: string } }[],
): string | null => {
  const known = regions.length > 0 ? regions : locations.map(({ address }) => address);
  const [country, ...more] = new Set(known.map((one) => one.country));
  return country !== undefined && more.length === 0 ? country : null;
};

/** What was pasted and is no code, left in the field. */
const Unread = ({ codes, country }: { codes: readonly string[]; country: string | null }) => {
  const style = useStyles(styles);
  if (codes.length === 0) return null;
  return (
    <Text style={style.fault} role="alert">
      No codes{country === null ? '' : ` of ${countryName(country)}`}, and left above:{' '}
      {codes.slice(0, 8).join(', ')}
      {codes.length > 8 ? ` and ${codes.length - 8} more` : ''}.
    </Text>
  );
};

/** Postal codes pasted in any shape; what they gave is told, what was not understood stays to be mended. */
const Paste = ({ label, regions, onChange }: Pick<Props, 'label' | 'regions' | 'onChange'>) => {
  const style = useStyles(styles);
  const places = useWorldPlaces();
  const guess = useAppSelector((state) => onlyCountry(regions, selectBook(state).locations));
  const [chosen, setCountry] = useState<string | null>(null);
  const country = chosen ?? guess;
  const [text, setText] = useState('');
  const [said, setSaid] = useState<string | null>(null);
  const [unread, setUnread] = useState<string[]>([]);
  const add = (): void => {
    if (country === null) return;
    const pasted = pastedPatterns(country, text, codeForm(country));
    const { regions: next, added } = withPatterns(regions, country, pasted.patterns);
    if (added > 0) onChange(next, null);
    const again = pasted.repeated + pasted.patterns.length - added;
    setSaid(
      [
        `${countFigure(added, 'pattern')} added`,
        ...(again > 0 ? [`${again} there already`] : []),
        ...(pasted.beginnings > 0 ? [`${pasted.beginnings} shorter than a code taken as beginnings`] : []),
      ].join(', '),
    );
    setUnread(pasted.unread);
    setText(pasted.unread.join('\n'));
  };
  return (
    <View style={style.paste} role="group" aria-label={`${label}: paste postal codes`}>
      <View style={{ flexDirection: 'row', maxWidth: 260 }}>
        <Chooser
          label="Codes of"
          chosen={country === null ? '' : countryName(country)}
          placeholder="Which country?"
          options={(places?.countries ?? []).map(({ code, name }) => ({ id: code, name }))}
          onChoose={setCountry}
        />
      </View>
      <TextInput
        mode="outlined"
        outlineStyle={FIELD_OUTLINE}
        multiline
        numberOfLines={4}
        value={text}
        onChangeText={setText}
        style={style.input}
        placeholder="Any form: B3H 4R2, B3J*, 90200-90299, one per line"
        accessibilityLabel="Postal codes to add"
      />
      <View style={style.head}>
        <Button mode="outlined" disabled={text.trim() === '' || country === null} onPress={add}>
          Add the codes
        </Button>
        {country === null && text.trim() !== '' ? (
          <Text style={style.note}>First choose the country of the codes.</Text>
        ) : null}
        {said === null ? null : <Text style={style.note}>{said}.</Text>}
      </View>
      <Unread codes={unread} country={country} />
    </View>
  );
};

/** Regions by name, each taken out by its cross, found and added by name, pasted as codes, or written as text. */
export const RegionList = ({ label, none, regions, onChange }: Props) => {
  const style = useStyles(styles);
  const places = useWorldPlaces();
  const options = useMemo(() => optionsOf(places), [places]);
  const [way, setWay] = useState<'paste' | 'text' | null>(null);
  const toggle = (next: 'paste' | 'text') => () => setWay(way === next ? null : next);
  const add = (id: string): void => {
    const group = places?.groups.find((one) => one.id === id);
    if (group) {
      onChange(
        group.countries.reduce<Region[]>((all, one) => withRegion(all, { country: one }), [...regions]),
        null,
      );
      return;
    }
    const country = id.slice(0, 2);
    onChange(withRegion(regions, id === country ? { country } : { country, subdivision: id }), null);
  };
  return (
    <View style={style.all} role="group" aria-label={label}>
      <Text style={style.label}>{label}</Text>
      <View role="list" aria-label={label}>
        <Entries regions={regions} onChange={onChange} />
      </View>
      {regions.length === 0 ? <Text style={style.note}>{none}</Text> : null}
      <View style={style.head}>
        <View style={{ flexDirection: 'row', flexGrow: 1, maxWidth: 320 }}>
          <Chooser
            hideLabel
            label={`${label}: add a country or region`}
            placeholder="Add a place by name"
            chosen=""
            options={options}
            onChoose={add}
          />
        </View>
        <TextAction label="Paste codes" onPress={toggle('paste')} />
        <TextAction label="As text" onPress={toggle('text')} />
      </View>
      {way === 'paste' ? <Paste label={label} regions={regions} onChange={onChange} /> : null}
      {way === 'text' ? (
        <DraftField
          multiline
          label={`${label}: CA, CA-NS, or codes such as CA: B3H*, B3J*`}
          text={regionsText(regions)}
          read={readRegions}
          onChange={onChange}
        />
      ) : null}
    </View>
  );
};
