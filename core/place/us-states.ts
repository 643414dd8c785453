/**
 * The states and territories of the United States by the first three figures of their postal codes. Made out of the
 * open gazetteer `zipcodes`; a beginning that several share has the one of most codes here, and the others below.
 */
const BEGINNINGS: Record<string, string> = {
  NY: '005 100-149',
  PR: '006-007 009',
  VI: '008',
  MA: '010-027 055',
  RI: '028-029',
  NH: '030-038',
  ME: '039-049',
  VT: '050-054 056-059',
  CT: '060-069',
  NJ: '070-089',
  PA: '150-196',
  DE: '197-199',
  DC: '200 202-205 569',
  VA: '201 220-246',
  MD: '206-212 214-219',
  WV: '247-268',
  NC: '270-289',
  SC: '290-299',
  GA: '300-319 398-399',
  FL: '320-339 341-342 344 346-347 349',
  AL: '350-352 354-369',
  TN: '370-385',
  MS: '386-397',
  KY: '400-418 420-427',
  OH: '430-459',
  IN: '460-479',
  MI: '480-499',
  IA: '500-516 520-528',
  WI: '530-532 534-535 537-549',
  MN: '550-551 553-567',
  SD: '570-577',
  ND: '580-588',
  MT: '590-599',
  IL: '600-620 622-629',
  MO: '630-631 633-641 644-658',
  KS: '660-662 664-679',
  NE: '680-681 683-693',
  LA: '700-701 703-708 710-714',
  AR: '716-729',
  OK: '730-731 734-741 743-749',
  TX: '733 750-770 772-799 885',
  CO: '800-816',
  WY: '820-831',
  ID: '832-838',
  UT: '840-847',
  AZ: '850-853 855-857 859-860 863-865',
  NM: '870-871 873-884',
  NV: '889-891 893-895 897-898',
  CA: '900-908 910-928 930-961',
  HI: '967-968',
  GU: '969',
  OR: '970-979',
  WA: '980-986 988-994',
  AK: '995-999',
};

/** Codes that lie in another state than most of their beginning; '' is none that ISO 3166-2 knows. */
const OTHERS: Record<string, string> = {
  '06390': 'NY',
  '20588': 'MD',
  '20598': 'VA',
  '73960': 'TX',
  '83414': 'WY',
  '96799': 'AS',
  '96939': '',
  '96940': '',
  '96941': '',
  '96942': '',
  '96943': '',
  '96944': '',
  '96950': 'MP',
  '96951': 'MP',
  '96952': 'MP',
  '96960': '',
  '96970': '',
};

const stateOf = new Map(
  Object.entries(BEGINNINGS).flatMap(([state, spans]) =>
    spans.split(' ').flatMap((span) => {
      const [from = '', to = from] = span.split('-');
      return Array.from(
        { length: Number(to) - Number(from) + 1 },
        (_, at) => [String(Number(from) + at).padStart(3, '0'), state] as const,
      );
    }),
  ),
);

/** The state or territory that a five-figure code lies in, as 'NY'; undefined where it names none. */
export const stateOfCode = (code: string): string | undefined =>
  (OTHERS[code] ?? stateOf.get(code.slice(0, 3))) || undefined;
