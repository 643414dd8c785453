import type { Destination } from '../model/place.ts';
import { normaliseCode } from './postal.ts';
import { stateOfCode } from './us-states.ts';

/** The province or territory that the first letter of a Canadian code names (the national post). */
const PROVINCES: Record<string, string> = {
  A: 'NL',
  B: 'NS',
  C: 'PE',
  E: 'NB',
  G: 'QC',
  H: 'QC',
  J: 'QC',
  K: 'ON',
  L: 'ON',
  M: 'ON',
  N: 'ON',
  P: 'ON',
  R: 'MB',
  S: 'SK',
  T: 'AB',
  V: 'BC',
  Y: 'YT',
};
const NUNAVUT = ['X0A', 'X0B', 'X0C'];
const NORTHWEST = ['X0E', 'X0G', 'X1A'];

const provinceOfCode = (code: string): string | undefined => {
  const area = code.slice(0, 3);
  if (NUNAVUT.includes(area)) return 'NU';
  if (NORTHWEST.includes(area)) return 'NT';
  return PROVINCES[code.slice(0, 1)];
};

/** The subdivision that a normalised postal code lies in, where the code itself says so; else undefined. */
export const subdivisionOfCode = (country: string, code: string): string | undefined => {
  if (country !== 'CA' && country !== 'US') return undefined;
  const part = country === 'CA' ? provinceOfCode(code) : stateOfCode(code);
  return part && `${country}-${part}`;
};

type Address = Pick<Destination, 'country' | 'subdivision' | 'postalCode'>;

const namedByCode = ({ country, postalCode }: Address): string | undefined =>
  postalCode === undefined ? undefined : subdivisionOfCode(country, normaliseCode(country, postalCode));

/** The subdivision that an address's code lies in, where the address says another; else null. */
export const contradictedBy = (address: Address): string | null => {
  const named = namedByCode(address);
  return named !== undefined && address.subdivision !== undefined && named !== address.subdivision
    ? named
    : null;
};

/** An address that says no subdivision with the one that its postal code lies in. */
export const withSubdivision = <T extends Address>(address: T): T & Pick<Destination, 'subdivision'> => {
  const subdivision = address.subdivision ?? namedByCode(address);
  return subdivision === undefined ? address : { ...address, subdivision };
};
