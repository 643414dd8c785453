import { useState } from 'react';
import { View } from 'react-native';
import { Searchbar, Text } from 'react-native-paper';
import { regionsText } from '../../../core/place/region-phrase.ts';
import type { CountryReach } from '../../../core/reach/country-reach.ts';
import { countFigure } from '../../../core/words/figure.ts';
import { DraftField } from '../../parts/draft-field.tsx';
import { Press } from '../../parts/press.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { TickBox } from '../../parts/check.tsx';
import type { NamedPlace } from '../../places/places.ts';
import { edit, visitBegan } from '../../state/draft.ts';
import { selectBook } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS, TOUCH, type Inks } from '../../theme/tokens.ts';
import { readRegions } from '../../parts/readers.ts';

interface Props {
  countries: readonly NamedPlace[];
  reach: ReadonlyMap<string, CountryReach>;
}

const MOST_SHOWN = 40;

const styles = (inks: Inks) => ({
  all: { gap: 10, paddingTop: 8 },
  note: note(inks),
  search: {
    backgroundColor: inks.raised,
    borderWidth: 1,
    borderColor: inks.control,
    borderRadius: 2,
    height: 40,
  },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    minHeight: TOUCH,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  name: { flex: 1 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginLeft: -4 } as const,
});

const matching = (countries: readonly NamedPlace[], typed: string): readonly NamedPlace[] => {
  const wanted = typed.trim().toLowerCase();
  return wanted === ''
    ? countries
    : countries.filter(
        ({ code, name }) => name.toLowerCase().includes(wanted) || code.toLowerCase() === wanted,
      );
};

const standing = (one: CountryReach | undefined): string => {
  if (!one?.sold) return 'closed';
  const zones =
    one.parts.length > 0 ? one.parts.map((zone) => zone.name).join(', ') : (one.zone?.name ?? 'no zone');
  return one.closedRegions > 0 ? `${zones} · ${countFigure(one.closedRegions, 'region')} closed` : zones;
};

/** Where the shop sells at all: countries opened and closed by name, many at once, and regions closed in open ones. */
export const SellsToEditor = ({ countries, reach }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { sellsTo } = useAppSelector((state) => selectBook(state).store);
  const [typed, setTyped] = useState('');
  const found = matching(countries, typed);
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
        value={sellsTo.mode}
        onChange={(mode) =>
          dispatch(edit('setSellsMode', { mode, all: countries.map(({ code }) => code) }, 'Sells to'))
        }
        options={[
          { value: 'everywhere', label: 'Everywhere but the closed' },
          { value: 'listed', label: 'Only the open ones' },
        ]}
      />
      <Text style={style.note}>
        {sellsTo.mode === 'everywhere'
          ? 'A country that comes into being is open until it is closed.'
          : 'A country that comes into being is closed until it is opened.'}
      </Text>
      <Searchbar
        value={typed}
        onChangeText={setTyped}
        placeholder="Find a country"
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
          return (
            <View role="listitem" key={country.code}>
              <Press
                role="checkbox"
                aria-checked={isOpen}
                aria-label={country.name}
                onPress={() => open([country], !isOpen)}
              >
                <View style={style.row}>
                  <TickBox on={isOpen} />
                  <Text style={style.name}>{country.name}</Text>
                  <Text style={style.note}>{standing(reach.get(country.code))}</Text>
                </View>
              </Press>
            </View>
          );
        })}
      </View>
      {found.length > MOST_SHOWN ? (
        <Text style={style.note}>{found.length - MOST_SHOWN} more: find them by name.</Text>
      ) : null}
      {found.length === 0 ? <Text style={style.note}>No country has that name.</Text> : null}
      <DraftField
        label="Closed inside open countries: subdivisions as NO-21, codes as CA: X0A*"
        multiline
        placeholder="nothing closed"
        text={regionsText(sellsTo.closedRegions)}
        read={readRegions}
        onChange={(closedRegions, visit) =>
          dispatch(edit('setClosedRegions', { closedRegions }, 'Closed regions', visit))
        }
      />
    </View>
  );
};
