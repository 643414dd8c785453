/** The province or territory that the first letter of a Canadian code names (Canada Post). */
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

/** The subdivision that a normalised postal code lies in, where the code itself says so; else undefined. */
export const subdivisionOfCode = (country: string, code: string): string | undefined => {
  if (country !== 'CA') return undefined;
  const area = code.slice(0, 3);
  if (NUNAVUT.includes(area)) return 'CA-NU';
  if (NORTHWEST.includes(area)) return 'CA-NT';
  const province = PROVINCES[code.slice(0, 1)];
  return province && `CA-${province}`;
};
