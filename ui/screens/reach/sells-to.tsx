import { inQuotes } from '../../../core/words/in-quotes.ts';
import { useState } from 'react';
import { View } from 'react-native';
import { Searchbar, Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { CountryReach } from '../../../core/coverage/country-reach.ts';
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
    one.parts.length > 0 ? one.parts.map((zone) => zone.name).join(', ') : (one.zone?.name ?? t('no zone'));
  if (one.onlyRegions > 0)
    return t('{zones} · only {onlyRegions, plural, one {# region} other {# regions}}', {
      zones,
      onlyRegions: one.onlyRegions,
    });
  return one.closedRegions > 0
    ? t('{zones} · {closedRegions, plural, one {# region} other {# regions}} closed', {
        zones,
        closedRegions: one.closedRegions,
      })
    : zones;
};

const MOST_NAMED = 12;

/** How many countries are closed, and which; where most are, which are open. */
const standingOf = (countries: readonly NamedPlace[], reach: Props['reach']): string => {
  const isOpen = ({ code }: NamedPlace): boolean => reach.get(code)?.sold === true;
  const open = countries.filter(isOpen);
  const closed = countries.filter((country) => !isOpen(country));
  const [few, what] = closed.length <= open.length ? [closed, 'closed'] : [open, 'open'];
  if (few.length === 0) return t('No country is {what}.', { what });
  const names = few.slice(0, MOST_NAMED).map(({ name }) => name);
  const more = few.length - names.length;
  return t('{count, plural, one {# country} other {# countries}} {what}: {list}{more}.', {
    count: few.length,
    what,
    list: names.join(', '),
    more: more > 0 ? t(' and {more} more', { more }) : '',
  });
};

type OpenCountries = (list: readonly NamedPlace[], isOpen: boolean) => void;

/** Opens or closes countries, as one change. */
const useOpenCountries = (): OpenCountries => {
  const dispatch = useAppDispatch();
  return (list, isOpen) => {
    const label = list.length === 1 ? (list[0]?.name ?? '') : t('{count} countries', { count: list.length });
    const countries = list.map(({ code }) => code);
    dispatch(visitBegan());
    dispatch(
      edit(
        'openCountries',
        { countries, open: isOpen },
        isOpen ? t('{name}: opened', { name: label }) : t('{name}: closed', { name: label }),
      ),
    );
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
        label={t('Where you sell')}
        value={mode}
        onChange={(next) =>
          dispatch(
            edit('setSellsMode', { mode: next, all: countries.map(({ code }) => code) }, t('Sells to')),
          )
        }
        options={[
          { value: 'everywhere', label: t('Everywhere except closed countries') },
          { value: 'listed', label: t('Only open countries') },
        ]}
      />
      <Text style={style.note}>
        {mode === 'everywhere' ? t('New countries start open.') : t('New countries start closed.')}{' '}
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
            label={isUnfolded ? t('hide') : t('regions')}
            accessibilityLabel={t('Regions of {country}', { country: country.name })}
            onPress={onUnfold}
          />
        ) : null}
      </View>
      {isUnfolded ? <CountryRegions country={country} regions={regions} /> : null}
    </View>
  );
};

const CountrySearch = ({ typed, onTyped }: { typed: string; onTyped: (text: string) => void }) => {
  const style = useStyles(styles);
  return (
    <Searchbar
      value={typed}
      onChangeText={onTyped}
      placeholder={t('Find a country: France, Peru, EU')}
      accessibilityLabel={t('Find a country')}
      searchAccessibilityLabel={t('Find')}
      clearAccessibilityLabel={t('Clear')}
      style={style.search}
      inputStyle={{ fontFamily: SANS, fontSize: 16, minHeight: 0 }}
    />
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
  const all = (opens: boolean, changed: readonly NamedPlace[]) => (
    <TextAction
      label={
        opens
          ? t('Open all {count} shown', { count: found.length })
          : t('Close all {count} shown', { count: found.length })
      }
      disabled={changed.length === 0}
      onPress={() => open(changed, opens)}
    />
  );
  return (
    <>
      <CountrySearch typed={typed} onTyped={setTyped} />
      <Actions>
        {all(true, closed)}
        {all(false, opened)}
      </Actions>
      <View role="list" aria-label={t('Countries')}>
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
        <Text style={style.note}>
          {t('{count} more: find them by name.', { count: found.length - MOST_SHOWN })}
        </Text>
      ) : null}
      {unknown.length > 0 ? (
        <Text style={style.note} role="alert">
          {t('No country has that name: {list}.', { list: unknown.map((part) => inQuotes(part)).join(', ') })}
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
        label={t('Products that are not shipped (downloads, gift cards) are sold to every country')}
        on={sellsTo.digitalEverywhere === true}
        onPress={() =>
          dispatch(
            edit(
              'setDigitalEverywhere',
              { on: !sellsTo.digitalEverywhere },
              t('Digital products everywhere'),
            ),
          )
        }
      />
      <RegionList
        label={t('Closed inside open countries')}
        none={t('nothing closed')}
        regions={sellsTo.closedRegions}
        onChange={(closedRegions, visit) =>
          dispatch(edit('setClosedRegions', { closedRegions }, t('Closed regions'), visit))
        }
      />
    </View>
  );
};
