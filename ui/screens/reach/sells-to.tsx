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
import { Actions } from '../../parts/actions.tsx';

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

type OpenCountries = (list: readonly NamedPlace[], isOpen: boolean) => void;

/** Opens or closes countries, as one change. */
const useOpenCountries = (): OpenCountries => {
  const dispatch = useAppDispatch();
  return (list, isOpen) => {
    const label = list.length === 1 ? (list[0]?.name ?? '') : `${list.length} countries`;
    const countries = list.map(({ code }) => code);
    dispatch(visitBegan());
    dispatch(edit('openCountries', { countries, open: isOpen }, `${label}: ${isOpen ? 'opened' : 'closed'}`));
  };
};

/** Whether a country that nobody named is open. */
const SellsMode = ({ countries, reach }: Pick<Props, 'countries' | 'reach'>) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { mode } = useAppSelector((state) => selectBook(state).store.sellsTo);
  return (
    <>
      <Segments
        label="Where you sell"
        value={mode}
        onChange={(next) =>
          dispatch(edit('setSellsMode', { mode: next, all: countries.map(({ code }) => code) }, 'Sells to'))
        }
        options={[
          { value: 'everywhere', label: 'Everywhere except closed countries' },
          { value: 'listed', label: 'Only open countries' },
        ]}
      />
      <Text style={style.note}>
        {mode === 'everywhere' ? 'New countries start open.' : 'New countries start closed.'}{' '}
        {standingOf(countries, reach)}
      </Text>
    </>
  );
};

interface CountryItemProps {
  country: NamedPlace;
  reach: CountryReach | undefined;
  regions: readonly NamedPlace[];
  isUnfolded: boolean;
  onUnfold: () => void;
  onOpen: OpenCountries;
}

/** A country: open or closed, what it comes to, and its regions. */
const CountryItem = ({ country, reach, regions, isUnfolded, onUnfold, onOpen }: CountryItemProps) => {
  const style = useStyles(styles);
  const isOpen = reach?.sold === true;
  return (
    <View role="listitem">
      <View style={style.line}>
        <Press
          role="checkbox"
          aria-checked={isOpen}
          aria-label={country.name}
          style={style.name}
          onPress={() => onOpen([country], !isOpen)}
        >
          <View style={style.row}>
            <TickBox on={isOpen} />
            <Text style={style.name}>{country.name}</Text>
            <Text style={style.note}>{standing(reach)}</Text>
          </View>
        </Press>
        {regions.length > 0 ? (
          <TextAction
            label={isUnfolded ? 'hide' : 'regions'}
            accessibilityLabel={`Regions of ${country.name}`}
            onPress={onUnfold}
          />
        ) : null}
      </View>
      {isUnfolded ? <CountryRegions country={country} regions={regions} /> : null}
    </View>
  );
};

/** The countries by what was typed, each opened and closed, or all that are shown. */
const CountryFinder = ({ countries, subdivisions, reach, asked }: Props) => {
  const style = useStyles(styles);
  const [typed, setTyped] = useState(asked);
  const [unfolded, setUnfolded] = useState<string | null>(null);
  const open = useOpenCountries();
  const { countries: found, unknown } = countriesFound(countries, typed, regionsNamed);
  const isOpen = ({ code }: NamedPlace): boolean => reach.get(code)?.sold === true;
  const opened = found.filter(isOpen);
  const closed = found.filter((country) => !isOpen(country));
  const all = (word: 'Open' | 'Close', changed: readonly NamedPlace[]) => (
    <TextAction
      label={`${word} all ${found.length} shown`}
      disabled={changed.length === 0}
      onPress={() => open(changed, word === 'Open')}
    />
  );
  return (
    <>
      <Searchbar
        value={typed}
        onChangeText={setTyped}
        placeholder="Find a country: France, Peru, EU"
        accessibilityLabel="Find a country"
        style={style.search}
        inputStyle={{ fontFamily: SANS, fontSize: 16, minHeight: 0 }}
      />
      <Actions>
        {all('Open', closed)}
        {all('Close', opened)}
      </Actions>
      <View role="list" aria-label="Countries">
        {found.slice(0, MOST_SHOWN).map((country) => (
          <CountryItem
            key={country.code}
            country={country}
            reach={reach.get(country.code)}
            regions={subdivisions.get(country.code) ?? NO_REGIONS}
            isUnfolded={unfolded === country.code}
            onUnfold={() => setUnfolded(unfolded === country.code ? null : country.code)}
            onOpen={open}
          />
        ))}
      </View>
      {found.length > MOST_SHOWN ? (
        <Text style={style.note}>{found.length - MOST_SHOWN} more: find them by name.</Text>
      ) : null}
      {unknown.length > 0 ? (
        <Text style={style.note} role="alert">
          No country has that name: {unknown.map((part) => `“${part}”`).join(', ')}.
        </Text>
      ) : null}
    </>
  );
};

/** Where the shop sells at all: countries opened and closed by name, many at once, and regions closed in open ones. */
export const SellsToEditor = (props: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { sellsTo } = useAppSelector((state) => selectBook(state).store);
  return (
    <View style={style.all}>
      <SellsMode countries={props.countries} reach={props.reach} />
      <CountryFinder {...props} />
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
