import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button, Text, TextInput } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import type { Region } from '../../core/model/place.ts';
import { patternNames } from '../../core/place/written-code.ts';
import { pastedPatterns } from '../../core/place/pasted-patterns.ts';
import { withoutRegion, withPatterns, withRegion } from '../../core/place/region-list.ts';
import { regionsText } from '../../core/place/region-text.ts';
import { countryName } from '../../core/words/country-name.ts';
import { codeExamples, codeExamplesText } from '../places/code-examples.ts';
import { useWorldPlaces, type WorldPlaces } from '../places/places.ts';
import { codeForm } from '../places/whole-code.ts';
import { selectBook } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { FIELD_OUTLINE, note } from '../theme/text.ts';
import { FINGER, SANS_STRONG, SERIF, type Inks } from '../theme/tokens.ts';
import { Chooser, type Option } from '../parts/chooser.tsx';
import { DraftField } from './draft-field.tsx';
import { readRegions } from './place-readers.ts';
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
    note: t('{count, plural, one {# country} other {# countries}}', { count: countries.length }),
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
    const codes = patternNames(region.country, postal ?? []);
    const name = postal
      ? t('{count, plural, one {# code} other {# codes}} in {country}', {
          count: postal.length,
          country: countryName(region.country),
        })
      : nameOf(places, region);
    return (
      <View style={style.entry} key={`${region.country}-${region.subdivision ?? ''}-${at}`} role="listitem">
        <View style={style.words}>
          <Text>{name}</Text>
          {postal ? (
            <Text style={style.codes}>
              {codes.slice(0, MOST_CODES).join('  ')}
              {codes.length > MOST_CODES ? t('  and {count} more', { count: codes.length - MOST_CODES }) : ''}
            </Text>
          ) : null}
        </View>
        <IconAction
          icon="close"
          size={18}
          accessibilityLabel={t('Remove {name}', { name })}
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
      {t('No codes{country}, and left above: {list}{more}.', {
        country: country === null ? '' : t(' of {country}', { country: countryName(country) }),
        list: codes.slice(0, 8).join(', '),
        more: codes.length > 8 ? t(' and {count} more', { count: codes.length - 8 }) : '',
      })}
    </Text>
  );
};

/** What came of pasted codes: how many are new, were there before, and are beginnings of codes. */
const pastedWords = (added: number, again: number, beginnings: number): string =>
  [
    t('{added, plural, one {# pattern} other {# patterns}} added', { added }),
    ...(again > 0 ? [t('{again} there already', { again })] : []),
    ...(beginnings > 0
      ? [t('{beginnings} shorter than a code, read as the beginning of codes', { beginnings })]
      : []),
  ].join(', ');

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
    setSaid(pastedWords(added, pasted.repeated + pasted.patterns.length - added, pasted.beginnings));
    setUnread(pasted.unread);
    setText(pasted.unread.join('\n'));
  };
  return (
    <View style={style.paste} role="group" aria-label={t('{label}: paste postal codes', { label })}>
      <View style={{ flexDirection: 'row', maxWidth: 260 }}>
        <Chooser
          label={t('Codes of')}
          chosen={country === null ? '' : countryName(country)}
          placeholder={t('Which country?')}
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
        placeholder={t('Any form, such as {examples}', { examples: codeExamplesText(country ?? 'CA') })}
        accessibilityLabel={t('Postal codes to add')}
      />
      <View style={style.head}>
        <Button mode="outlined" disabled={text.trim() === '' || country === null} onPress={add}>
          {t('Add the codes')}
        </Button>
        {country === null && text.trim() !== '' ? (
          <Text style={style.note}>{t('First choose the country of the codes.')}</Text>
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
  const home = useAppSelector((state) => onlyCountry(regions, selectBook(state).locations)) ?? undefined;
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
            label={t('{label}: add a country or region', { label })}
            placeholder={t('Add a place by name')}
            chosen=""
            options={options}
            onChoose={add}
          />
        </View>
        <TextAction label={t('Paste codes')} onPress={toggle('paste')} />
        <TextAction label={t('As text')} onPress={toggle('text')} />
      </View>
      {way === 'paste' ? <Paste label={label} regions={regions} onChange={onChange} /> : null}
      {way === 'text' ? (
        <DraftField
          multiline
          label={t('{label}: countries and regions by name, codes such as {country}: {code}', {
            label,
            country: home ?? 'CA',
            code: codeExamples(home ?? 'CA')?.beginning ?? '12*',
          })}
          text={regionsText(regions)}
          read={(text) => readRegions(text, home)}
          onChange={onChange}
        />
      ) : null}
    </View>
  );
};
