import { t } from '../translate/translate.ts';
import type { PastOrder } from '../model/order.ts';
import type { Destination } from '../model/place.ts';
import { numbers, words, type ColumnAbout, type SheetColumn } from './sheet-column.ts';

type Point = NonNullable<Destination['point']>;

/** A stop of a delivery round, with how far it is from the one before it. */
export interface RoundStop {
  order: PastOrder;
  point: Point;
  metres: number;
}

const ABOUT: Record<string, ColumnAbout> = {
  stop: numbers(t('The place in the round.')),
  order: words(t('The order’s number.')),
  recipient: words(t('Who gets it.')),
  address: words(t('The lines of the address.')),
  'postal code': words(t('The postal code.')),
  town: words(t('The town.')),
  from: words(t('The time that was chosen: from.')),
  to: words(t('The time that was chosen: to.')),
  latitude: numbers(t('In degrees.')),
  longitude: numbers(t('In degrees.')),
  'metres from the last': numbers(t('As the crow flies, from the stop before.')),
};

/** The columns of a delivery round. */
export const roundSheet = (): SheetColumn[] =>
  Object.entries(ABOUT).map(([heading, about]) => ({ heading, ...about }));

/** The cells of a stop as a line of a CSV file. */
export const roundCells =
  (stops: readonly RoundStop[]) =>
  ({ order, point, metres }: RoundStop): string[] => {
    const { lines = [], postalCode = '', city = '' } = order.request.destination ?? {};
    const { slot } = order.chosen;
    const at = stops.findIndex((stop) => stop.order === order) + 1;
    return [
      String(at),
      order.number,
      order.recipient ?? '',
      lines.join(', '),
      postalCode,
      city,
      slot?.start ?? '',
      slot?.end ?? '',
      String(point.lat),
      String(point.lng),
      String(metres),
    ];
  };

/** A round as GeoJSON (RFC 7946): the way from the start past every stop and back, and each stop with its order. */
export const roundGeoJson = (start: Point, stops: readonly RoundStop[]): string => {
  const position = ({ lat, lng }: Point): [number, number] => [lng, lat];
  const way = [start, ...stops.map(({ point }) => point), start].map(position);
  const features = [
    { type: 'Feature', properties: { kind: 'round' }, geometry: { type: 'LineString', coordinates: way } },
    ...stops.map(({ order, point }, at) => ({
      type: 'Feature',
      properties: { kind: 'stop', stop: at + 1, order: order.number, recipient: order.recipient ?? '' },
      geometry: { type: 'Point', coordinates: position(point) },
    })),
  ];
  return `${JSON.stringify({ type: 'FeatureCollection', features }, null, 1)}\n`;
};
