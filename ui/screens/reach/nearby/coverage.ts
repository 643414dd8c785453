import { t } from '../../../../core/translate/translate.ts';
import type { Coverage } from '../../../../core/model/delivery.ts';
import type { DisplayFormat } from '../../../../core/words/figure.ts';
import type { Location } from '../../../../core/model/location.ts';
import type { PostalArea } from '../../../../core/coverage/postal-reach.ts';
import { METRES_A_DEGREE } from '../../../../core/place/ring.ts';

/** Three kilometres, or two miles. */
const FIRST_METRES = { metric: 3_000, imperial: 3_218.688 };
const FIRST_CORNERS = 6;

/**
 * A coverage of a kind to begin with: no code, three kilometres or two miles, or six corners about the location; null for
 * a shape where the location’s point is not known.
 */
export const firstCoverage = (
  kind: Coverage['kind'],
  { address }: Location,
  units: DisplayFormat['units'],
): Coverage | null => {
  const first = FIRST_METRES[units];
  if (kind === 'postal') return { kind, country: address.country, patterns: [] };
  if (kind === 'radius') return { kind, metres: first };
  if (!address.point) return null;
  const { lat, lng } = address.point;
  const tall = first / METRES_A_DEGREE;
  const wide = tall / Math.cos((lat * Math.PI) / 180);
  const round = (degrees: number): number => Math.round(degrees * 100_000) / 100_000;
  return {
    kind,
    ring: Array.from({ length: FIRST_CORNERS }, (_, at) => {
      const angle = (at / FIRST_CORNERS) * 2 * Math.PI;
      return [round(lng + wide * Math.cos(angle)), round(lat + tall * Math.sin(angle))];
    }),
  };
};

/** Why no shape can be begun about a location. */
export const noShapeText = ({ name }: Location): string =>
  t(
    'The point of {location} is not known, so there is no map to draw on: write its coordinates under Settings, Locations, or take areas from a GeoJSON file.',
    { location: name },
  );

/** The patterns for postal areas: in Canada an area is the beginning of its codes. */
export const patternsOf = (country: string, areas: readonly PostalArea[]): string[] =>
  areas.map(({ code }) => (country === 'CA' ? `${code}*` : code)).sort();
