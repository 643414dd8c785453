import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { SubdivisionReach } from '../../../core/coverage/subdivision-reach.ts';
import { TickBox } from '../../parts/check.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { Press } from '../../parts/press.tsx';
import type { NamedPlace } from '../../places/places.ts';
import { edit, visitBegan } from '../../state/draft.ts';
import { selectBook } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { FINGER, type Inks } from '../../theme/tokens.ts';
import { selectSubdivisionReach } from './reach-selectors.ts';

interface Props {
  country: NamedPlace;
  regions: readonly NamedPlace[];
}

const styles = (inks: Inks) => ({
  all: {
    marginLeft: 30,
    borderLeftWidth: 1,
    borderLeftColor: inks.hairline,
    paddingLeft: 12,
    paddingTop: 8,
  },
  row: { flexDirection: 'row', alignItems: 'center', gap: 10, minHeight: FINGER } as const,
  actions: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 } as const,
  name: { flex: 1 },
  note: note(inks),
});

const standing = ({ sold, zone, withoutRate }: SubdivisionReach): string => {
  if (!sold) return 'closed';
  if (!zone) return 'no zone';
  return withoutRate ? `${zone.name}, nothing ships there` : zone.name;
};

/** The regions of a country: each with its zone, opened and closed inside the country. */
export const CountryRegions = ({ country, regions }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const reach = useAppSelector((state) => selectSubdivisionReach(state, regions));
  const isOnly = useAppSelector((state) =>
    (selectBook(state).store.sellsTo.onlyRegions ?? []).some((region) => region.country === country.code),
  );
  const set = ({ code, name }: NamedPlace, open: boolean): void => {
    dispatch(visitBegan());
    dispatch(edit('openSubdivision', { subdivision: code, open }, `${name}: ${open ? 'opened' : 'closed'}`));
  };
  const codes = regions.map(({ code }) => code);
  const isOpen = (code: string): boolean => reach.get(code)?.sold === true;
  const opened = codes.filter(isOpen);
  const closed = codes.filter((code) => !isOpen(code));
  const setAll = (open: string[], close: string[], what: string) => (): void => {
    dispatch(visitBegan());
    dispatch(edit('setRegions', { open, close }, `${country.name}: ${what}`));
  };
  return (
    <View style={style.all}>
      <Segments<'but' | 'only'>
        label={`Regions of ${country.name} you sell to`}
        value={isOnly ? 'only' : 'but'}
        onChange={(mode) =>
          dispatch(
            edit(
              'setRegionMode',
              { country: country.code, only: mode === 'only', all: regions.map(({ code }) => code) },
              `${country.name}: how its regions are listed`,
            ),
          )
        }
        options={[
          { value: 'but', label: 'All except closed regions' },
          { value: 'only', label: 'Only open regions' },
        ]}
      />
      <View style={style.actions}>
        <Text style={style.note}>
          {opened.length} of {codes.length} open
        </Text>
        <TextAction
          label="All"
          accessibilityLabel={`Open all regions of ${country.name}`}
          disabled={closed.length === 0}
          onPress={setAll(closed, [], 'all regions opened')}
        />
        <TextAction
          label="None"
          accessibilityLabel={`Close all regions of ${country.name}`}
          disabled={opened.length === 0}
          onPress={setAll([], opened, 'all regions closed')}
        />
        <TextAction
          label="Invert"
          accessibilityLabel={`Open the closed regions of ${country.name} and close the open`}
          onPress={setAll(closed, opened, 'open and closed regions swapped')}
        />
      </View>
      <View role="list" aria-label={`Regions of ${country.name}`}>
        {regions.map((region) => {
          const stands = reach.get(region.code);
          const open = stands?.sold === true;
          return (
            <View role="listitem" key={region.code}>
              <Press
                role="checkbox"
                aria-checked={open}
                aria-label={region.name}
                onPress={() => set(region, !open)}
              >
                <View style={style.row}>
                  <TickBox on={open} />
                  <Text style={style.name}>{region.name}</Text>
                  <Text style={style.note}>{stands ? standing(stands) : ''}</Text>
                </View>
              </Press>
            </View>
          );
        })}
      </View>
    </View>
  );
};
