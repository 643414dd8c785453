import type { Region, SellsTo, Zone } from '../core/model/place.ts';

const province = (...codes: string[]): Region[] =>
  codes.map((code) => ({ country: 'CA', subdivision: `CA-${code}` }));
const states = (...codes: string[]): Region[] =>
  codes.map((code) => ({ country: 'US', subdivision: `US-${code}` }));
const countries = (...codes: string[]): Region[] => codes.map((country) => ({ country }));

const zone = (id: string, name: string, includes: Region[], part: Partial<Zone> = {}): Zone => ({
  id,
  name,
  active: true,
  includes,
  excludes: [],
  remainder: false,
  ...part,
});

/** Everywhere but a few closed countries, and Svalbard in a country that is open. */
export const demoSellsTo: SellsTo = {
  mode: 'everywhere',
  countries: ['CU', 'IR', 'KP', 'SY'],
  closedRegions: [{ country: 'NO', subdivision: 'NO-21' }],
  digitalEverywhere: true,
};

/** The codes of the provinces that only an aircraft reaches. */
const FLY_IN = ['A0P*', 'J0M*', 'P0T*', 'P0V*', 'R0B*', 'S0J*', 'T0P1A?', 'V0W*'];

export const demoZones: Zone[] = [
  zone('maritimes', 'Maritimes', province('NS', 'NB', 'PE')),
  zone('newfoundland', 'Newfoundland and Labrador', province('NL')),
  zone('central', 'Central', province('ON', 'QC')),
  zone('west', 'West', province('MB', 'SK', 'AB', 'BC')),
  zone('north', 'North', [...province('YT', 'NT', 'NU'), { country: 'CA', postal: FLY_IN }], {
    without: ['pallet'],
  }),
  zone('united-states', 'Over the border', countries('US'), {
    excludes: states('AK', 'HI', 'PR', 'GU', 'VI', 'AS', 'MP', 'UM'),
    without: ['pallet'],
  }),
  zone(
    'europe',
    'Western Europe',
    countries('AT', 'BE', 'DE', 'DK', 'ES', 'FI', 'FR', 'GB', 'IE', 'IT', 'LU', 'NL', 'PT', 'SE'),
    {
      without: ['parcel', 'express', 'pallet'],
    },
  ),
  zone('remaining', 'Everywhere else', [], {
    remainder: true,
    without: ['parcel', 'express', 'pallet'],
  }),
];
