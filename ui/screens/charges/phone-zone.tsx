import { PanResponder, ScrollView, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Zone } from '../../../core/model/place.ts';
import { Press } from '../../parts/press.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { regionsPhrase } from '../../../core/place/region-phrase.ts';
import { selectBook, selectRatesByCell, selectSpeech } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../../theme/tokens.ts';
import { boardStyles } from './board-styles.ts';
import { cellWords } from './cell-words.ts';
import type { Opening } from './open-cell.ts';

const styles = (inks: Inks) => ({
  ...boardStyles(inks),
  tabs: { flexDirection: 'row', gap: 20, paddingHorizontal: 20 } as const,
  tabsRule: { borderBottomWidth: 1, borderBottomColor: inks.ink, marginHorizontal: -20 },
  tab: {
    minHeight: TOUCH,
    justifyContent: 'center',
    borderBottomWidth: 3,
    borderBottomColor: 'transparent',
  } as const,
  here: { borderBottomColor: inks.ink },
  tabName: { fontSize: 13, lineHeight: 18, color: inks.quiet },
  hereName: { color: inks.ink, fontFamily: SANS_STRONG },
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

const Tabs = ({ zones, zone, opening }: { zones: readonly Zone[]; zone: Zone; opening: Opening }) => {
  const style = useStyles(styles);
  return (
    <View style={style.tabsRule}>
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerStyle={style.tabs}
        role="tablist"
      >
        {zones.map((one) => {
          const isHere = one.id === zone.id;
          return (
            <Press key={one.id} role="tab" aria-selected={isHere} onPress={() => opening.showZone(one.id)}>
              <View style={[style.tab, isHere ? style.here : null]}>
                <Text style={[style.tabName, isHere ? style.hereName : null]}>{one.name}</Text>
              </View>
            </Press>
          );
        })}
      </ScrollView>
    </View>
  );
};

/** One zone of the board on a phone: its services, each with its rate; the next zone is a swipe away. */
export const PhoneZone = ({ zone, opening }: { zone: Zone; opening: Opening }) => {
  const style = useStyles(styles);
  const { zones, services } = useAppSelector(selectBook);
  const rates = useAppSelector(selectRatesByCell);
  const speech = useAppSelector(selectSpeech);
  const at = zones.findIndex((one) => one.id === zone.id);
  const swipe = PanResponder.create({
    onMoveShouldSetPanResponder: (_, { dx, dy }) => Math.abs(dx) > 20 && Math.abs(dx) > 2 * Math.abs(dy),
    onPanResponderRelease: (_, { dx }) => {
      const next = Math.abs(dx) > SWIPE ? zones[at + (dx < 0 ? 1 : -1)] : undefined;
      if (next) opening.showZone(next.id);
    },
  });
  const places = regionsPhrase(zone.includes);
  return (
    <View {...swipe.panHandlers}>
      <Tabs zones={zones} zone={zone} opening={opening} />
      <View style={style.places}>
        <Text style={[style.quiet, style.left]} numberOfLines={2}>
          {zone.remainder ? 'what no other zone takes' : places || 'no places yet'}
          {zone.active ? '' : ' · switched off'}
        </Text>
        <TextAction
          label="Zone"
          accessibilityLabel={`Zone ${zone.name}`}
          onPress={() => opening.openZone(zone.id)}
        />
      </View>
      <View
        role="list"
        aria-label={`Rates in ${zone.name}`}
        style={{ borderTopWidth: 1, borderTopColor: style.item.borderBottomColor }}
      >
        {services.map((service) => {
          const words = cellWords(zone, service.id, rates.get(`${service.id}/${zone.id}`), speech);
          return (
            <View role="listitem" key={service.id}>
              <Press
                role="button"
                onPress={() => opening.openCell(zone.id, service.id)}
                aria-label={`${service.name} to ${zone.name}: ${words.main}${words.note ? `, ${words.note}` : ''}`}
              >
                <View style={style.item}>
                  <View style={style.left}>
                    <Text>{service.name}</Text>
                    {words.note === '' ? null : <Text style={style.quiet}>{words.note}</Text>}
                  </View>
                  <Text style={[style.figure, style[words.kind]]}>{words.main}</Text>
                </View>
              </Press>
            </View>
          );
        })}
      </View>
    </View>
  );
};
