import { useState } from 'react';
import { View } from 'react-native';
import { Searchbar, Text } from 'react-native-paper';
import type { CountryReach } from '../../../core/coverage/country-reach.ts';
import { countFigure } from '../../../core/words/figure.ts';
import { Press } from '../../parts/press.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { Check, TickBox } from '../../parts/check.tsx';
import type { NamedPlace } from '../../places/places.ts';
import { edit, visitBegan } from '../../state/draft.ts';
import { selectBook } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS, TOUCH, type Inks } from '../../theme/tokens.ts';
import { RegionList } from '../../fields/region-list.tsx';
import { regionsNamed } from '../../places/named-regions.ts';
import { CountryRegions } from './country-regions.tsx';
import { countriesFound } from './countries-found.ts';

interface Props {
  countries: readonly NamedPlace[];
  subdivisions: ReadonlyMap<string, readonly NamedPlace[]>;
  reach: ReadonlyMap<string, CountryReach>;
  /** The country that is looked for as the list is opened; '' for none. */
  asked: string;
}

const MOST_SHOWN = 40;
const NO_REGIONS: readonly NamedPlace[] = [];

const styles = (inks: Inks) => ({
  all: { gap: 10, paddingTop: 8 },
  note: note(inks),
  search: {
    backgroundColor: inks.raised,
    borderWidth: 1,
    borderColor: inks.control,
    borderRadius: 2,
    height: 42,
  },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    minHeight: TOUCH,
  } as const,
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  name: { flex: 1 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginLeft: -4 } as const,
});

const standing = (one: CountryReach | undefined): string => {
  if (!one?.sold) return 'closed';
  const zones =
    one.parts.length > 0 ? one.parts.map((zone) => zone.name).join(', ') : (one.zone?.name ?? 'no zone');
  if (one.onlyRegions > 0) return `${zones} · only ${countFigure(one.onlyRegions, 'region')}`;
  return one.closedRegions > 0 ? `${zones} · ${countFigure(one.closedRegions, 'region')} closed` : zones;
};

const MOST_NAMED = 12;

/** How many countries are closed, and which; where most are, which are open. */
const standingOf = (countries: readonly NamedPlace[], reach: Props['reach']): string => {
  const isOpen = ({ code }: NamedPlace): boolean => reach.get(code)?.sold === true;
  const open = countries.filter(isOpen);
  const closed = countries.filter((country) => !isOpen(country));
  const [few, what] = closed.length <= open.length ? [closed, 'closed'] : [open, 'open'];
  if (few.length === 0) return `No country is ${what}.`;
  const names = few.slice(0, MOST_NAMED).map(({ name }) => name);
  const more = few.length - names.length;
  return `${countFigure(few.length, 'country', 'countries')} ${what}: ${names.join(', ')}${
    more > 0 ? ` and ${more} more` : ''
  }.`;
};

/** Where the shop sells at all: countries opened and closed by name, many at once, and regions closed in open ones. */
export const SellsToEditor = ({ countries, subdivisions, reach, asked }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { sellsTo } = useAppSelector((state) => selectBook(state).store);
  const [typed, setTyped] = useState(asked);
  const [unfolded, setUnfolded] = useState<string | null>(null);
  const { countries: found, unknown } = countriesFound(countries, typed, regionsNamed);
  const open = (list: readonly NamedPlace[], isOpen: boolean): void => {
    const label = list.length === 1 ? (list[0]?.name ?? '') : `${list.length} countries`;
    dispatch(visitBegan());
    dispatch(
      edit(
        'openCountries',
        { countries: list.map(({ code }) => code), open: isOpen },
        `${label}: ${isOpen ? 'opened' : 'closed'}`,
      ),
    );
  };
  const closed = found.filter(({ code }) => !reach.get(code)?.sold);
  const opened = found.filter(({ code }) => reach.get(code)?.sold);
  return (
    <View style={style.all}>
      <Segments
        label="Where you sell"
        value={sellsTo.mode}
        onChange={(mode) =>
          dispatch(edit('setSellsMode', { mode, all: countries.map(({ code }) => code) }, 'Sells to'))
        }
        options={[
          { value: 'everywhere', label: 'Everywhere except closed countries' },
          { value: 'listed', label: 'Only open countries' },
        ]}
      />
      <Text style={style.note}>
        {sellsTo.mode === 'everywhere' ? 'New countries start open.' : 'New countries start closed.'}{' '}
        {standingOf(countries, reach)}
      </Text>
      <Searchbar
        value={typed}
        onChangeText={setTyped}
        placeholder="Find a country: France, Peru, EU"
        accessibilityLabel="Find a country"
        style={style.search}
        inputStyle={{ fontFamily: SANS, fontSize: 15, minHeight: 0 }}
      />
      <View style={style.actions}>
        <TextAction
          label={`Open all ${found.length} shown`}
          disabled={closed.length === 0}
          onPress={() => open(closed, true)}
        />
        <TextAction
          label={`Close all ${found.length} shown`}
          disabled={opened.length === 0}
          onPress={() => open(opened, false)}
        />
      </View>
      <View role="list" aria-label="Countries">
        {found.slice(0, MOST_SHOWN).map((country) => {
          const isOpen = reach.get(country.code)?.sold === true;
          const regions = subdivisions.get(country.code) ?? NO_REGIONS;
          return (
            <View role="listitem" key={country.code}>
              <View style={style.line}>
                <Press
                  role="checkbox"
                  aria-checked={isOpen}
                  aria-label={country.name}
                  style={style.name}
                  onPress={() => open([country], !isOpen)}
                >
                  <View style={style.row}>
                    <TickBox on={isOpen} />
                    <Text style={style.name}>{country.name}</Text>
                    <Text style={style.note}>{standing(reach.get(country.code))}</Text>
                  </View>
                </Press>
                {regions.length > 0 ? (
                  <TextAction
                    label={unfolded === country.code ? 'hide' : 'regions'}
                    accessibilityLabel={`Regions of ${country.name}`}
                    onPress={() => setUnfolded(unfolded === country.code ? null : country.code)}
                  />
                ) : null}
              </View>
              {unfolded === country.code ? <CountryRegions country={country} regions={regions} /> : null}
            </View>
          );
        })}
      </View>
      {found.length > MOST_SHOWN ? (
        <Text style={style.note}>{found.length - MOST_SHOWN} more: find them by name.</Text>
      ) : null}
      {unknown.length > 0 ? (
        <Text style={style.note} role="alert">
          No country has that name: {unknown.map((part) => `“${part}”`).join(', ')}.
        </Text>
      ) : null}
      <Check
        label="Products that are not shipped (downloads, gift cards) are sold to every country"
        on={sellsTo.digitalEverywhere === true}
        onPress={() =>
          dispatch(
            edit('setDigitalEverywhere', { on: !sellsTo.digitalEverywhere }, 'Digital products everywhere'),
          )
        }
      />
      <RegionList
        label="Closed inside open countries"
        none="nothing closed"
        regions={sellsTo.closedRegions}
        onChange={(closedRegions, visit) =>
          dispatch(edit('setClosedRegions', { closedRegions }, 'Closed regions', visit))
        }
      />
    </View>
  );
};
