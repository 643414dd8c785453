import { postcodeValidator } from 'postcode-validator';
import { codeFormOf } from './code-shapes.ts';
import { pastedPatterns } from './pasted-patterns.ts';
import { patternName, patternNames, writtenCode } from './written-code.ts';

test.each([
  ['GB', 'SW1A1AA', 'SW1A 1AA'],
  ['JE', 'JE23AB', 'JE2 3AB'],
  ['GB', 'SW1', 'SW1'],
  ['NL', '1012AB', '1012 AB'],
  ['PT', '1000001', '1000-001'],
  ['MT', 'VLT1117', 'VLT 1117'],
  ['CA', 'B2G', 'B2G'],
  ['CA', 'B2G2L2', 'B2G 2L2'],
  ['FR', '75001', '75001'],
  ['PL', '00-950', '00-950'],
  ['CA', 'B2G 2L2', 'B2G 2L2'],
  ['US', '04101-1234', '04101-1234'],
])('a code of %s is written as its people do: %s', (country, code, written) =>
  expect(writtenCode(country, code)).toBe(written),
);

test.each([
  ['PL', '00950', '00-950'],
  ['PL', '00*', '00*'],
  ['PL', '001*', '00-1*'],
  ['PL', '00001 to 00099', '00-001 to 00-099'],
  ['PL', '00 to 05', '00 to 05'],
  ['BR', '01311???', '01311-???'],
  ['CA', 'B3H to B3K', 'B3H to B3K'],
  ['CA', 'B3?1*', 'B3? 1*'],
  ['GB', 'AB315??', 'AB31 5'],
  ['US', '90200 to 90299', '90200 to 90299'],
])('a pattern of %s, %s, is called %s', (country, pattern, name) =>
  expect(patternName(country, pattern)).toBe(name),
);

const formOf = (country: string) =>
  codeFormOf((code) => {
    const bare = code.replace(/[\s-]/g, '');
    const dashed = { JP: 3, PL: 2, PT: 4 }[country];
    return postcodeValidator(
      dashed === undefined ? bare : `${bare.slice(0, dashed)}-${bare.slice(dashed)}`,
      country,
    );
  });

test.each([
  ['CA', ['B3H4R2', 'B3H4*', 'B3H*', 'B3H to B3K', 'B3H1A1 to B3H1B9', 'B3?1*']],
  ['SE', ['11122', '1112*', '111*', '11100 to 11199']],
  ['NL', ['1012AB', '1012A*', '1012*']],
  ['IE', ['D02AF30', 'D02A*', 'D02*']],
  ['CZ', ['11000', '1100*', '110*', '11000 to 11999']],
  ['GR', ['10431', '1043*']],
  ['SK', ['81101', '8110*']],
  ['PL', ['00950', '0095*', '00*', '00001 to 00099']],
  ['JP', ['1000001', '100*', '1000*', '1000001 to 1000099']],
  ['BR', ['01311000', '01311*', '013110*', '01311000 to 01319999']],
  ['GB', ['SW1A1AA', 'AB315??', 'PA20???', 'BT*']],
])('what is shown of codes of %s is read again as the same', (country, patterns) =>
  expect(pastedPatterns(country, patternNames(country, patterns).join(', '), formOf(country))).toMatchObject({
    patterns,
    unread: [],
  }),
);
