import { PanResponder, View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Zone } from '../../../core/model/place.ts';
import type { Service } from '../../../core/model/rate.ts';
import { Press } from '../../parts/press.tsx';
import { Tabs } from '../../parts/tabs.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { selectClosedZones, selectRatesByCell, selectDisplayFormat } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { keptTogether } from '../../theme/kept-together.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { TOUCH, type Inks } from '../../theme/tokens.ts';
import { boardStyles } from './board-styles.ts';
import { cellWords } from './cell-words.ts';
import type { Opening } from './open-cell.ts';
import { usePlaceNames } from '../../places/use-place-names.ts';
import { zoneWords } from './zone-words.ts';

const styles = (inks: Inks) => ({
  ...boardStyles(inks),
  places: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: 8,
    minHeight: TOUCH,
  } as const,
  item: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    gap: 12,
    paddingVertical: 12,
    minHeight: TOUCH,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  left: { flex: 1 },
  quiet: note(inks),
});

const SWIPE = 50;

/** What a service charges in a zone, to be opened. */
const PhoneCell = ({
  zone,
  service,
  onOpen,
}: {
  zone: Zone;
  service: Service;
  onOpen: Opening['openCell'];
}) => {
  const style = useStyles(styles);
  const rates = useAppSelector(selectRatesByCell);
  const display = useAppSelector(selectDisplayFormat);
  const words = cellWords(zone, service.id, rates.get(`${service.id}/${zone.id}`), display);
  return (
    <View role="listitem">
      <Press
        role="button"
        onPress={() => onOpen(zone.id, service.id)}
        aria-label={t('{service} to {zone}: {main}{note}', {
          service: service.name,
          zone: zone.name,
          main: words.main,
          note: words.note ? `, ${words.note}` : '',
        })}
      >
        <View style={style.item}>
          <View style={style.left}>
            <Text>{service.name}</Text>
            {words.note === '' ? null : <Text style={style.quiet}>{keptTogether(words.note)}</Text>}
          </View>
          <Text style={[style.figure, style[words.kind]]}>{words.main}</Text>
        </View>
      </Press>
    </View>
  );
};

/** One zone of the board on a phone: its services, each with its rate; the next zone is a swipe away. */
export const PhoneZone = ({ zone, opening }: { zone: Zone; opening: Opening }) => {
  const style = useStyles(styles);
  const names = usePlaceNames();
  const { zones, services } = useBookParts('zones', 'services');
  const closed = useAppSelector(selectClosedZones);
  const at = zones.findIndex((one) => one.id === zone.id);
  const swipe = PanResponder.create({
    onMoveShouldSetPanResponder: (_, { dx, dy }) => Math.abs(dx) > 20 && Math.abs(dx) > 2 * Math.abs(dy),
    onPanResponderRelease: (_, { dx }) => {
      const next = Math.abs(dx) > SWIPE ? zones[at + (dx < 0 ? 1 : -1)] : undefined;
      if (next) opening.showZone(next.id);
    },
  });
  return (
    <View {...swipe.panHandlers}>
      <Tabs
        label={t('Zones')}
        bleed={20}
        value={zone.id}
        options={zones.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={opening.showZone}
      />
      <View style={style.places}>
        <Text style={[style.quiet, style.left]} numberOfLines={2}>
          {keptTogether(zoneWords(zone, closed.has(zone.id), names))}
        </Text>
        <TextAction
          label={t('Zone')}
          accessibilityLabel={t('Zone {zone}', { zone: zone.name })}
          onPress={() => opening.openZone(zone.id)}
        />
      </View>
      <View
        role="list"
        aria-label={t('Rates in {zone}', { zone: zone.name })}
        style={{ borderTopWidth: 1, borderTopColor: style.item.borderBottomColor }}
      >
        {services.map((service) => (
          <PhoneCell key={service.id} zone={zone} service={service} onOpen={opening.openCell} />
        ))}
      </View>
    </View>
  );
};
