import { formatAddress, type Address } from 'localized-address-format';
import { z } from 'zod';
import type { PastOrder } from '../../../core/model/order.ts';
import type { Destination } from '../../../core/model/place.ts';
import { normaliseCode } from '../../../core/place/postal.ts';
import { subdivisionOfCode } from '../../../core/place/subdivision-of-code.ts';
import { hasCodeForm, isWholeCode } from '../../places/whole-code.ts';

/** An address as it is typed. */
export interface AddressValues {
  country: string;
  name: string;
  line1: string;
  line2: string;
  city: string;
  subdivision: string;
  postalCode: string;
}
export type AddressField = keyof AddressValues;

export interface FieldSpec {
  field: AddressField;
  label: string;
  required: boolean;
}

export const EMPTY_ADDRESS: Omit<AddressValues, 'country'> = {
  name: '',
  line1: '',
  line2: '',
  city: '',
  subdivision: '',
  postalCode: '',
};

/** Countries whose post needs the subdivision in an address (Unicode's table of address data, field “require”). */
const NEED_SUBDIVISION = new Set('AE AU BR CA CL CN CO ES HK ID IN IT JP KR MX MY NG TH TW US VE'.split(' '));
const POSTAL_LABELS: Record<string, string> = {
  US: 'ZIP code',
  GB: 'Postcode',
  IE: 'Eircode',
  IN: 'PIN code',
};
const SUBDIVISION_LABELS: Record<string, string> = {
  CA: 'Province or territory',
  US: 'State',
  AU: 'State or territory',
  GB: 'County',
  IE: 'County',
  JP: 'Prefecture',
};
const LENGTHS: Record<AddressField, number> = {
  country: 2,
  name: 120,
  line1: 200,
  line2: 200,
  city: 120,
  subdivision: 6,
  postalCode: 20,
};

const MARKS = {
  name: '{name}',
  addressLines: ['{line1}'],
  locality: '{city}',
  administrativeArea: '{subdivision}',
  postalCode: '{postalCode}',
} satisfies Address;

const specOf = (country: string, field: AddressField): FieldSpec => {
  const labels: Record<AddressField, string> = {
    country: 'Country',
    name: 'Full name',
    line1: 'Street and number',
    line2: 'Flat, floor, care of',
    city: 'Town',
    subdivision: SUBDIVISION_LABELS[country] ?? 'Region',
    postalCode: POSTAL_LABELS[country] ?? 'Postal code',
  };
  const required: Partial<Record<AddressField, boolean>> = {
    line2: false,
    subdivision: NEED_SUBDIVISION.has(country),
    postalCode: hasCodeForm(country),
  };
  return { field, label: labels[field], required: required[field] ?? true };
};

/** The fields of an address in a country, line by line in the order its post writes them. */
export const addressLines = (country: string): FieldSpec[][] =>
  formatAddress({ postalCountry: country, ...MARKS }, 'latin').flatMap((line) => {
    const fields = [...line.matchAll(/\{(\w+)\}/g)].map(([, field]) =>
      specOf(country, field as AddressField),
    );
    const after = fields.some(({ field }) => field === 'line1') ? [[specOf(country, 'line2')]] : [];
    return [fields, ...after];
  });

const codeFault = (country: string, code: string, label: string): string | null => {
  return isWholeCode(country)(code) ? null : `“${code.trim()}” is no ${label} of this country.`;
};

/** The subdivision that the code itself names, against the one chosen. */
const codeElsewhere = ({ country, subdivision, postalCode }: AddressValues): string | null => {
  const named = subdivisionOfCode(country, normaliseCode(country, postalCode));
  return named !== undefined && subdivision !== '' && named !== subdivision
    ? `“${postalCode.trim()}” lies in another region than the one chosen.`
    : null;
};

/** What is wrong with an address, field by field; nothing where it can be used. */
export const addressFaults = (values: AddressValues): Partial<Record<AddressField, string>> => {
  const faults: Partial<Record<AddressField, string>> = {};
  for (const { field, label, required } of addressLines(values.country).flat()) {
    const text = values[field].trim();
    if (text === '' && required) faults[field] = `${label} is needed.`;
    else if (text.length > LENGTHS[field]) faults[field] = `At most ${LENGTHS[field]} characters.`;
  }
  const { country, postalCode } = values;
  if (postalCode.trim() !== '' && !faults.postalCode) {
    const wrong = codeFault(
      country,
      postalCode,
      (POSTAL_LABELS[country] ?? 'postal code').replace(/^P/, 'p'),
    );
    if (wrong) faults.postalCode = wrong;
  }
  const elsewhere = faults.postalCode ? null : codeElsewhere(values);
  if (elsewhere) faults.postalCode = elsewhere;
  return faults;
};

/** Where the order goes, from what is typed so far; null until the country, region and code can be trusted. */
export const destinationOf = (values: AddressValues): Destination | null => {
  const faults = addressFaults(values);
  if (values.country === '' || faults.postalCode || faults.subdivision) return null;
  const { country, subdivision, postalCode, city, line1, line2 } = values;
  const fields = new Set(addressLines(country).flatMap((line) => line.map(({ field }) => field)));
  const lines = [line1, line2].map((line) => line.trim()).filter(Boolean);
  return {
    country,
    ...(fields.has('subdivision') && subdivision !== '' ? { subdivision } : {}),
    ...(fields.has('postalCode') && postalCode.trim() !== '' ? { postalCode: postalCode.trim() } : {}),
    ...(city.trim() === '' ? {} : { city: city.trim() }),
    ...(lines.length > 0 ? { lines } : {}),
  };
};

export interface CheckoutValues {
  ship: AddressValues;
  billSame: boolean;
  bill: AddressValues;
}

/** Whom the bill goes to, where that is another address than the goods'. */
export const billingOf = ({ billSame, bill }: CheckoutValues): Pick<PastOrder, 'billing'> => {
  const address = billSame ? null : destinationOf(bill);
  return address ? { billing: { name: bill.name.trim(), address } } : {};
};

const addressShape = z.object({
  country: z.string(),
  name: z.string(),
  line1: z.string(),
  line2: z.string(),
  city: z.string(),
  subdivision: z.string(),
  postalCode: z.string(),
});

/** The checkout's form: the shipping address, and a billing address where it is another. */
export const checkoutSchema = z
  .object({ ship: addressShape, billSame: z.boolean(), bill: addressShape })
  .superRefine((values, context) => {
    for (const part of values.billSame ? (['ship'] as const) : (['ship', 'bill'] as const)) {
      for (const [field, message] of Object.entries(addressFaults(values[part])))
        context.addIssue({ code: 'custom', path: [part, field], message });
    }
  });

/** An address as its country's post writes it, for the customer to read again. */
export const writtenAddress = (
  name: string,
  { country, subdivision, city, postalCode, lines }: Destination,
): string[] =>
  formatAddress(
    {
      name,
      postalCountry: country,
      ...(subdivision ? { administrativeArea: subdivision.slice(3) } : {}),
      ...(city ? { locality: city } : {}),
      ...(postalCode ? { postalCode } : {}),
      addressLines: lines ?? [],
    },
    'latin',
  );
