import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import { datesText } from '../../../core/formats/dates-typed.ts';
import type { Location } from '../../../core/model/location.ts';
import { CalendarImport } from './calendar-import.tsx';
import { NameField } from '../../fields/kind-fields.tsx';
import { DraftField } from '../../fields/draft-field.tsx';
import { PlaceFields } from '../../fields/place-fields.tsx';
import { PreparationFields } from '../../fields/preparation-fields.tsx';
import { Press } from '../../parts/press.tsx';
import { readDates } from '../../fields/readers.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { WeekFields } from '../../fields/week-fields.tsx';
import { edit } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { selectBook } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../../theme/tokens.ts';
import { Opened } from '../../parts/opened.tsx';
import { countryName } from '../../../core/words/country-name.ts';
import { Actions } from '../../parts/actions.tsx';
import { fieldsOf } from '../../fields/fields-of.ts';

const styles = (inks: Inks) => ({
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { paddingVertical: 10, minHeight: TOUCH },
  name: { fontFamily: SANS_STRONG },
  note: note(inks),
  panel: { gap: 16, paddingTop: 4, paddingBottom: 20 },
});

const whereText = ({ address: { lines = [], city, postalCode, country } }: Location): string =>
  [...lines, [postalCode, city].filter(Boolean).join(' '), countryName(country)].filter(Boolean).join(', ');

const openText = ({ hours }: Location): string => {
  const days = new Set(hours.map(({ day }) => day)).size;
  return days === 0 ? t('never open') : t('open {days, plural, one {# day} other {# days}} a week', { days });
};

interface PanelProps {
  location: Location;
  /** Orders are sent from the first. */
  first: boolean;
}

const LocationActions = ({ location: { id, name }, first }: PanelProps) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const isNeeded = useAppSelector((state) => {
    const { locations, carriers, areas, pickups } = selectBook(state);
    return locations.length === 1 && [carriers, areas, pickups].some(({ length }) => length > 0);
  });
  const remove = (): void => {
    dispatch(edit('removeLocation', { id }, t('Remove {name}', { name })));
    const then = first ? t(' Orders are sent from the next one, if there is one.') : '';
    dispatch(undoMessage(t('Removed {name}.{then}', { name, then })));
  };
  return (
    <>
      <Actions>
        {first ? null : (
          <TextAction
            label={t('Send orders from here')}
            onPress={() => dispatch(edit('sendFrom', { id }, t('Send from {name}', { name })))}
          />
        )}
        <TextAction label={t('Remove the location')} disabled={isNeeded} onPress={remove} />
      </Actions>
      {isNeeded ? (
        <Text style={style.note}>{t('Carriers, delivery areas or pickup points need it, so it stays.')}</Text>
      ) : null}
    </>
  );
};

const LocationPanel = ({ location, first }: PanelProps) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { id, name, address, hours, closedDates, preparation } = location;
  const set = (changes: Partial<Location>, what: string, visit: string | null = null): void => {
    dispatch(edit('setLocation', { id, changes }, labelled(name, what), visit));
  };
  const field = fieldsOf(location, set);
  return (
    <View style={style.panel} role="group" aria-label={name}>
      <NameField label={t('Location')} prose {...field('name')} />
      <PlaceFields street destination={address} onChange={field('address').onChange} />
      <WeekFields
        hours={hours}
        cutoff={preparation?.kind === 'cut-off' ? preparation.cutoff : undefined}
        onChange={field('hours').onChange}
      />
      <DraftField
        label={t('Closed on: dates such as 2026-12-25, ranges such as 2026-12-24 to 2026-12-26')}
        multiline
        placeholder={t('no closed dates')}
        text={datesText(closedDates)}
        read={readDates}
        onChange={field('closedDates', t('closed dates')).onChange}
      />
      <CalendarImport
        closed={closedDates}
        onTaken={(next) => set({ closedDates: next }, t('closed dates from a calendar'))}
      />
      <PreparationFields preparation={preparation} onChange={field('preparation').onChange} />
      <LocationActions location={location} first={first} />
    </View>
  );
};

/** The merchant's own places: where orders are made ready and handed over, and when. */
export const Locations = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { locations, store } = useBookParts('locations', 'store');
  const [open, setOpen] = useState<string | null>(null);
  const add = (): void => {
    const country = locations[0]?.address.country ?? store.sellsTo.countries[0] ?? 'CA';
    dispatch(edit('addLocation', { name: t('New location'), country }, t('New location')));
  };
  return (
    <View>
      {locations.length === 0 ? (
        <Text style={[style.note, { paddingVertical: 16 }]}>
          {t(
            'A location is a place of yours: where orders are prepared. Without one, no day of arrival can be given.',
          )}
        </Text>
      ) : null}
      <View role="list" aria-label={t('Locations')}>
        {locations.map((location, at) => (
          <View style={style.item} role="listitem" key={location.id}>
            <Press
              role="button"
              aria-expanded={open === location.id}
              onPress={() => setOpen(open === location.id ? null : location.id)}
            >
              <View style={style.row}>
                <Text style={style.name}>{location.name}</Text>
                <Text style={style.note}>{whereText(location)}</Text>
                <Text style={style.note}>
                  {at === 0 ? t('orders are sent from here · ') : ''}
                  {openText(location)}
                </Text>
              </View>
            </Press>
            {open === location.id ? (
              <Opened>
                <LocationPanel location={location} first={at === 0} />
              </Opened>
            ) : null}
          </View>
        ))}
      </View>
      <TextAction
        label={t('Add a location')}
        style={{ alignSelf: 'flex-start', marginLeft: -4, marginTop: 4 }}
        onPress={add}
      />
    </View>
  );
};
