import { Fragment, useState, type ReactNode } from 'react';
import { ScrollView, View, type ViewProps, type ViewStyle } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Zone } from '../../../core/model/place.ts';
import { InSight } from '../../parts/in-sight.tsx';
import { Press } from '../../parts/press.tsx';
import { selectClosedZones, selectRatesByCell, selectDisplayFormat } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { BoardRow } from './board-row.tsx';
import { boardStyles, LEAST_CELL, ZONE_COLUMN } from './board-styles.ts';
import type { Opening } from './open-cell.ts';
import type { BoardPresses, Selection } from './use-selection.ts';

/** How many rows are drawn together, and about how tall one is. */
const LOT = 8;
const ROW_HEIGHT = 62;

interface Props {
  opening: Opening;
  selection: Selection & BoardPresses;
  /** What opens under the row it belongs to. */
  under: ReactNode;
  underHead: ReactNode;
}

/** What is opened under a row, as a row of one cell of its own: as wide as what is seen of the board, and there. */
const Under = ({ width, children }: { width: number; children: ReactNode }) => (
  <View role="row">
    <View role="cell" style={[{ left: 0, width }, { position: 'sticky' } as unknown as ViewStyle]}>
      {children}
    </View>
  </View>
);

/** The zones in lots that are drawn together; a board of a few zones is one lot. */
const chunked = (zones: readonly Zone[]): Zone[][] =>
  Array.from({ length: Math.ceil(zones.length / LOT) }, (_, at) => zones.slice(at * LOT, (at + 1) * LOT));

/** The services, each to be opened. */
const BoardHead = ({
  opening,
  isFlexed,
  onService,
}: {
  opening: Opening;
  isFlexed: boolean;
  onService: BoardPresses['onService'];
}) => {
  const style = useStyles(boardStyles);
  const { services } = useBookParts('services');
  return (
    <View role="row" style={style.head}>
      <View role="columnheader" style={[style.corner, { width: ZONE_COLUMN }]}>
        <Text style={[style.headName, { paddingLeft: 0 }]}>{t('Zone')}</Text>
      </View>
      {services.map((service) => {
        const isOpen = opening.panel === 'service' && opening.service === service.id;
        return (
          <View role="columnheader" key={service.id} style={isFlexed ? style.flexed : style.fixed}>
            <Press
              role="button"
              aria-expanded={isOpen}
              aria-label={t('Service {service}', { service: service.name })}
              onPress={() => onService(service.id)}
            >
              <Text style={[style.headName, isOpen ? style.headOpen : null]}>{service.name}</Text>
            </Press>
          </View>
        );
      })}
    </View>
  );
};

/** Zones down, services across, a short phrase in each cell. Rows far out of sight are not drawn. */
export const Board = ({ opening, selection, under, underHead }: Props) => {
  const { zones, services } = useBookParts('zones', 'services');
  const closed = useAppSelector(selectClosedZones);
  const rates = useAppSelector(selectRatesByCell);
  const display = useAppSelector(selectDisplayFormat);
  const [width, setWidth] = useState(0);
  const needed = ZONE_COLUMN + services.length * LEAST_CELL;
  const flex = needed <= width;
  const row = (zone: Zone) => {
    const isOpen = opening.zone === zone.id;
    return (
      <Fragment key={zone.id}>
        <BoardRow
          zone={zone}
          closed={closed.has(zone.id)}
          services={services}
          rates={services.map((service) => rates.get(`${service.id}/${zone.id}`))}
          display={display}
          openService={isOpen && !opening.panel ? opening.service : undefined}
          zoneOpen={isOpen && opening.panel === 'zone'}
          flex={flex}
          selected={selection.ids}
          onCell={selection.onCell}
          onZone={selection.onZone}
        />
        {isOpen && under ? <Under width={width}>{under}</Under> : null}
      </Fragment>
    );
  };
  return (
    <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      <ScrollView horizontal scrollEnabled={!flex} contentContainerStyle={{ minWidth: '100%' }}>
        <View
          role="table"
          aria-label={t('Board of rates')}
          {...({ 'aria-rowcount': zones.length + 1 } as ViewProps)}
          style={{ width: flex ? width : needed }}
        >
          <BoardHead opening={opening} isFlexed={flex} onService={selection.onService} />
          {underHead ? <Under width={width}>{underHead}</Under> : null}
          {chunked(zones).map((some) => (
            <InSight
              key={some[0]?.id}
              height={some.length * ROW_HEIGHT}
              keep={some.some(({ id }) => id === opening.zone)}
            >
              {() => some.map(row)}
            </InSight>
          ))}
        </View>
      </ScrollView>
    </View>
  );
};
