import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Zone } from '../../../core/model/place.ts';
import { TickBox } from '../../parts/check.tsx';
import { Press } from '../../parts/press.tsx';
import { selectRatesByCell, selectDisplayFormat } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';
import { cellWords, type CellWords } from './cell-words.ts';
import type { BoardPresses, Selection } from './use-selection.ts';

const styles = (inks: Inks) => ({
  all: { marginTop: 24 },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  zone: { flex: 1, minWidth: 0 },
  zoneName: { height: 44, justifyContent: 'center' } as const,
  name: { ...note(inks), color: inks.ink },
  head: {
    ...note(inks),
    fontSize: 12,
    lineHeight: 14,
    textAlign: 'center',
    textDecorationLine: 'underline',
  } as const,
  press: { width: 50, height: 44, alignItems: 'center', justifyContent: 'center' } as const,
  mark: { fontFamily: SANS_STRONG, fontSize: 15, color: inks.ink },
  missing: { color: inks.rubric },
  quiet: { color: inks.quiet },
  note: note(inks),
});

const MARKS: Record<CellWords['kind'], string> = { rate: '●', off: '○', missing: '×', 'left-out': '–' };

interface CellProps {
  zone: Zone;
  serviceId: string;
  selection: Selection & BoardPresses;
}

/** One cell: its mark, or its tick while rates are being ticked. */
const SmallCell = ({ zone, serviceId, selection }: CellProps) => {
  const style = useStyles(styles);
  const rate = useAppSelector(selectRatesByCell).get(`${serviceId}/${zone.id}`);
  const display = useAppSelector(selectDisplayFormat);
  const service = useBookParts('services').services.find(({ id }) => id === serviceId);
  const { kind, main } = cellWords(zone, serviceId, rate, display);
  const isTicked = rate && selection.ids ? selection.ids.has(rate.id) : null;
  const mark = [
    style.mark,
    kind === 'missing' ? style.missing : null,
    kind === 'left-out' ? style.quiet : null,
  ];
  return (
    <View role="cell">
      <Press
        role={isTicked === null ? 'button' : 'checkbox'}
        aria-checked={isTicked ?? undefined}
        aria-label={`${service?.name ?? ''}, ${zone.name}: ${main}`}
        onPress={() => selection.onCell(zone.id, serviceId, rate)}
      >
        <View style={style.press}>
          {isTicked === null ? <Text style={mark}>{MARKS[kind]}</Text> : <TickBox on={isTicked} />}
        </View>
      </Press>
    </View>
  );
};

/** The names of the services, each leading to its settings. */
const SmallHead = ({ onService }: Pick<BoardPresses, 'onService'>) => {
  const style = useStyles(styles);
  const { services } = useBookParts('services');
  return (
    <View style={style.row} role="row">
      <Text style={[style.name, style.zone]} role="columnheader">
        {t('The whole board')}
      </Text>
      {services.map(({ id, name }) => (
        <View role="columnheader" key={id}>
          <Press role="button" aria-label={t('Service {name}', { name })} onPress={() => onService(id)}>
            <View style={style.press}>
              <Text style={style.head} numberOfLines={2}>
                {name}
              </Text>
            </View>
          </Press>
        </View>
      ))}
    </View>
  );
};

/** The whole board small, to pick a cell from: ● a rate, ○ switched off, × no rate, – not offered on purpose. */
export const SmallBoard = ({ selection }: Pick<CellProps, 'selection'>) => {
  const style = useStyles(styles);
  const { zones, services } = useBookParts('zones', 'services');
  return (
    <View style={style.all} role="table" aria-label={t('The whole board')}>
      <SmallHead onService={selection.onService} />
      {zones.map((zone) => (
        <View key={zone.id} style={style.row} role="row">
          <View role="rowheader" style={style.zone}>
            <Press
              role="button"
              aria-label={t('Rates in {zone}', { zone: zone.name })}
              onPress={() => selection.onZone(zone.id)}
            >
              <View style={style.zoneName}>
                <Text style={style.name} numberOfLines={1}>
                  {zone.name}
                </Text>
              </View>
            </Press>
          </View>
          {services.map(({ id }) => (
            <SmallCell key={id} zone={zone} serviceId={id} selection={selection} />
          ))}
        </View>
      ))}
      <Text style={[style.note, { paddingTop: 8 }]}>
        {t('● a rate ○ switched off × no rate – not offered, on purpose')}
      </Text>
    </View>
  );
};
