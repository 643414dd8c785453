import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
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
  if (!zone) return t('no zone');
  return withoutRate ? t('{zone}, nothing ships there', { zone: zone.name }) : zone.name;
};

/** Whether a region that nobody named is open. */
const RegionMode = ({ country, regions }: Props) => {
  const dispatch = useAppDispatch();
  const isOnly = useAppSelector((state) =>
    (selectBook(state).store.sellsTo.onlyRegions ?? []).some((region) => region.country === country.code),
  );
  const set = (mode: 'but' | 'only'): void => {
    const all = regions.map(({ code }) => code);
    const label = t('{country}: how its regions are listed', { country: country.name });
    dispatch(edit('setRegionMode', { country: country.code, only: mode === 'only', all }, label));
  };
  return (
    <Segments<'but' | 'only'>
      label={t('Regions of {country} you sell to', { country: country.name })}
      value={isOnly ? 'only' : 'but'}
      onChange={set}
      options={[
        { value: 'but', label: t('All except closed regions') },
        { value: 'only', label: t('Only open regions') },
      ]}
    />
  );
};

/** All regions of a country opened, closed or swapped at once. */
const AllRegions = ({
  country,
  opened,
  closed,
}: Pick<Props, 'country'> & Record<'opened' | 'closed', string[]>) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const setAll = (open: string[], close: string[], what: string) => (): void => {
    dispatch(visitBegan());
    dispatch(edit('setRegions', { open, close }, labelled(country.name, what)));
  };
  return (
    <View style={style.actions}>
      <Text style={style.note}>
        {t('{opened} of {all} open', { opened: opened.length, all: opened.length + closed.length })}
      </Text>
      <TextAction
        label={t('All')}
        accessibilityLabel={t('Open all regions of {country}', { country: country.name })}
        disabled={closed.length === 0}
        onPress={setAll(closed, [], t('all regions opened'))}
      />
      <TextAction
        label={t('None')}
        accessibilityLabel={t('Close all regions of {country}', { country: country.name })}
        disabled={opened.length === 0}
        onPress={setAll([], opened, t('all regions closed'))}
      />
      <TextAction
        label={t('Invert')}
        accessibilityLabel={t('Open the closed regions of {country} and close the open', {
          country: country.name,
        })}
        onPress={setAll(closed, opened, t('open and closed regions swapped'))}
      />
    </View>
  );
};

/** A region: open or closed, and the zone it is in. */
const RegionItem = ({ region, reach }: { region: NamedPlace; reach: SubdivisionReach | undefined }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { code, name } = region;
  const isOpen = reach?.sold === true;
  const toggle = (): void => {
    dispatch(visitBegan());
    dispatch(
      edit(
        'openSubdivision',
        { subdivision: code, open: !isOpen },
        isOpen ? t('{name}: closed', { name }) : t('{name}: opened', { name }),
      ),
    );
  };
  return (
    <View role="listitem">
      <Press role="checkbox" aria-checked={isOpen} aria-label={name} onPress={toggle}>
        <View style={style.row}>
          <TickBox on={isOpen} />
          <Text style={style.name}>{name}</Text>
          <Text style={style.note}>{reach ? standing(reach) : ''}</Text>
        </View>
      </Press>
    </View>
  );
};

/** The regions of a country: each with its zone, opened and closed inside the country. */
export const CountryRegions = ({ country, regions }: Props) => {
  const style = useStyles(styles);
  const reach = useAppSelector((state) => selectSubdivisionReach(state, regions));
  const codes = regions.map(({ code }) => code);
  const isOpen = (code: string): boolean => reach.get(code)?.sold === true;
  return (
    <View style={style.all}>
      <RegionMode country={country} regions={regions} />
      <AllRegions
        country={country}
        opened={codes.filter(isOpen)}
        closed={codes.filter((code) => !isOpen(code))}
      />
      <View role="list" aria-label={t('Regions of {country}', { country: country.name })}>
        {regions.map((region) => (
          <RegionItem key={region.code} region={region} reach={reach.get(region.code)} />
        ))}
      </View>
    </View>
  );
};
