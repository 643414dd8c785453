import type { OpeningHours } from '../model/time.ts';
import { plainMoney } from '../words/figure.ts';
import type { DeliveryPage, PageLine, PagePoint, PageZone } from './delivery-page.ts';

/** What the vocabulary of schema.org says of delivery and pickup, as JSON-LD. */

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

type Node = Record<string, unknown>;

/** The places of a zone: a country with those of its regions that are named, and its codes by their beginnings. */
const destinations = ({ regions }: PageZone): Node[] => {
  const countries = new Map<string, { subdivisions: string[]; whole: boolean }>();
  for (const { country, subdivision, postal } of regions) {
    const known = countries.get(country) ?? { subdivisions: [], whole: false };
    countries.set(country, known);
    if (subdivision) known.subdivisions.push(subdivision.slice(3));
    else if (!postal) known.whole = true;
  }
  const named = [...countries].flatMap(([addressCountry, { subdivisions, whole }]): Node[] => {
    if (!whole && subdivisions.length === 0) return [];
    const addressRegion = whole ? {} : { addressRegion: subdivisions };
    return [{ '@type': 'DefinedRegion', addressCountry, ...addressRegion }];
  });
  const coded = regions.flatMap(({ country, postal }): Node[] =>
    postal
      ? [
          {
            '@type': 'DefinedRegion',
            addressCountry: country,
            postalCodePrefix: postal.filter((one) => /^[^*?]+\*$/.test(one)).map((one) => one.slice(0, -1)),
          },
        ]
      : [],
  );
  return [...named, ...coded];
};

const offerOf = (
  line: PageLine,
  shippingDestination: Node[],
  { currency, decimals }: DeliveryPage,
): Node[] => {
  const { span, transit } = line;
  if (!span || shippingDestination.length === 0) return [];
  const amount = (minor: number): number => Number(plainMoney(minor, decimals));
  const rate =
    span.least === span.most
      ? { value: amount(span.least) }
      : { minValue: amount(span.least), maxValue: amount(span.most) };
  const days = transit && {
    deliveryTime: {
      '@type': 'ShippingDeliveryTime',
      transitTime: {
        '@type': 'QuantitativeValue',
        minValue: transit.min,
        maxValue: transit.max,
        unitCode: 'DAY',
      },
    },
  };
  return [
    {
      '@type': 'OfferShippingDetails',
      name: line.name,
      shippingRate: { '@type': 'MonetaryAmount', currency, ...rate },
      shippingDestination,
      ...(days ?? {}),
    },
  ];
};

const hoursOf = ({ day, from, to }: OpeningHours): Node => ({
  '@type': 'OpeningHoursSpecification',
  dayOfWeek: `https://schema.org/${DAYS[day - 1] ?? ''}`,
  opens: from,
  closes: to,
});

const pointOf = ({ name, address, point, hours }: PagePoint): Node => ({
  '@type': 'Place',
  name,
  address: address.join(', '),
  ...(point ? { geo: { '@type': 'GeoCoordinates', latitude: point.lat, longitude: point.lng } } : {}),
  openingHoursSpecification: hours.map(hoursOf),
});

/** A page as a graph of schema.org: what shipping costs where, and the points with their hours. */
export const structuredData = (page: DeliveryPage): Node => ({
  '@context': 'https://schema.org',
  '@graph': [
    ...page.zones.flatMap((zone) => {
      const places = destinations(zone);
      return zone.lines.flatMap((line) => offerOf(line, places, page));
    }),
    ...page.points.map(pointOf),
  ],
});
