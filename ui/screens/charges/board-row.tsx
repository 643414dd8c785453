import { memo } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import type { Zone } from '../../../core/model/place.ts';
import type { Rate, Service } from '../../../core/model/rate.ts';
import type { DisplayFormat } from '../../../core/words/figure.ts';
import { TickBox } from '../../parts/check.tsx';
import { Press } from '../../parts/press.tsx';
import { keptTogether } from '../../theme/kept-together.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { usePlaceNames } from '../../places/use-place-names.ts';
import { zoneWords } from './zone-words.ts';
import { boardStyles, ZONE_COLUMN } from './board-styles.ts';
import { cellWords, type CellWords } from './cell-words.ts';

interface CellProps {
  words: CellWords;
  label: string;
  open: boolean;
  /** Null while cells are opened rather than selected. */
  selected: boolean | null;
  onPress: () => void;
  flex: boolean;
}

const styles = (inks: Inks) => boardStyles(inks);

const BoardCell = ({ words, label, open, selected, onPress, flex }: CellProps) => {
  const style = useStyles(styles);
  const selectable = words.kind === 'rate' || words.kind === 'off';
  const isChecking = selected !== null && selectable;
  return (
    <View role="cell" style={[style.cell, flex ? style.flexed : style.fixed, open ? style.openCell : null]}>
      <Press
        onPress={onPress}
        disabled={selected !== null && !selectable}
        role={isChecking ? 'checkbox' : 'button'}
        aria-checked={isChecking ? selected : undefined}
        aria-expanded={isChecking ? undefined : open}
        aria-label={labelled(label, `${words.main}${words.note ? `, ${words.note}` : ''}`)}
        style={style.cellPress}
      >
        <View style={style.cellInside}>
          {isChecking ? <TickBox on={selected} /> : null}
          <View style={style.words}>
            <Text style={[style.figure, style[words.kind]]}>{words.main}</Text>
            {words.note === '' ? null : <Text style={style.note}>{keptTogether(words.note)}</Text>}
          </View>
        </View>
      </Press>
    </View>
  );
};

export interface BoardRowProps {
  zone: Zone;
  /** Whether the shop sells to none of its places. */
  closed: boolean;
  services: readonly Service[];
  /** The zone's rates by service, in the services' order. */
  rates: readonly (Rate | undefined)[];
  display: DisplayFormat;
  openService: string | undefined;
  zoneOpen: boolean;
  flex: boolean;
  selected: ReadonlySet<string> | null;
  onCell: (zone: string, service: string, rate: Rate | undefined) => void;
  onZone: (zone: string) => void;
}

const Row = ({
  zone,
  closed,
  services,
  rates,
  display,
  openService,
  zoneOpen,
  flex,
  selected,
  onCell,
  onZone,
}: BoardRowProps) => {
  const style = useStyles(styles);
  const names = usePlaceNames();
  return (
    <View role="row" style={style.row}>
      <View role="rowheader" style={[style.zone, { width: ZONE_COLUMN }, zoneOpen ? style.openCell : null]}>
        <Press
          onPress={() => onZone(zone.id)}
          role="button"
          aria-expanded={zoneOpen}
          aria-label={t('Zone {zone}', { zone: zone.name })}
          style={style.cellPress}
        >
          <View style={style.zoneInside}>
            <Text style={[style.name, zone.active ? null : style.off]}>{zone.name}</Text>
            <Text style={style.note} numberOfLines={4}>
              {keptTogether(zoneWords(zone, closed, names))}
            </Text>
          </View>
        </Press>
      </View>
      {services.map((service, at) => {
        const rate = rates[at];
        return (
          <BoardCell
            key={service.id}
            words={cellWords(zone, service.id, rate, display)}
            label={t('{service} to {zone}', { service: service.name, zone: zone.name })}
            open={openService === service.id}
            selected={selected && rate ? selected.has(rate.id) : selected && false}
            onPress={() => onCell(zone.id, service.id, rate)}
            flex={flex}
          />
        );
      })}
    </View>
  );
};

/** One zone of the board with a cell for each service; drawn again only when something of its own changed. */
export const BoardRow = memo(Row, (a, b) => {
  const { rates: ratesA, ...restA } = a;
  const { rates: ratesB, ...restB } = b;
  const sameRates = ratesA.length === ratesB.length && ratesA.every((rate, at) => rate === ratesB[at]);
  const keys = Object.keys(restA) as (keyof typeof restA)[];
  return sameRates && keys.every((key) => key === 'onCell' || key === 'onZone' || restA[key] === restB[key]);
});
