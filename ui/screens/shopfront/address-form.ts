import { formatAddress, type Address } from 'localized-address-format';
import { z } from 'zod';
import type { PastOrder } from '../../../core/model/order.ts';
import type { Destination } from '../../../core/model/place.ts';
import { contradictedBy } from '../../../core/place/subdivision-of-code.ts';
import { subdivisionName } from '../../places/places.ts';
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

/** The subdivision that the code itself names, where another is chosen; else null. */
export const codesSubdivision = ({ country, subdivision, postalCode }: AddressValues): string | null =>
  subdivision === '' ? null : contradictedBy({ country, subdivision, postalCode });

const codeElsewhere = (values: AddressValues): string | null => {
  const named = codesSubdivision(values);
  return named === null
    ? null
    : `“${values.postalCode.trim()}” is in ${subdivisionName(named)}, not in ${subdivisionName(values.subdivision)}.`;
};

/** How much of an address is asked for: all of it, the place alone for taxes, or only who it is. */
export type Asked = 'whole' | 'place' | 'name';
const ASKED: Record<Asked, readonly AddressField[] | null> = {
  whole: null,
  place: ['name', 'country', 'subdivision', 'postalCode'],
  name: ['name'],
};

/** The lines of an address that are asked for. */
export const askedLines = (country: string, asked: Asked): FieldSpec[][] => {
  const fields = ASKED[asked];
  const lines = addressLines(country);
  return fields === null
    ? lines
    : lines
        .map((line) => line.filter(({ field }) => fields.includes(field)))
        .filter((line) => line.length > 0);
};

/** What is wrong with an address, field by field; nothing where it can be used. */
export const addressFaults = (
  values: AddressValues,
  asked: Asked = 'whole',
): Partial<Record<AddressField, string>> => {
  const faults: Partial<Record<AddressField, string>> = {};
  const specs = askedLines(values.country, asked).flat();
  for (const { field, label, required } of specs) {
    const text = values[field].trim();
    if (text === '' && required) faults[field] = `${label} is needed.`;
    else if (text.length > LENGTHS[field]) faults[field] = `At most ${LENGTHS[field]} characters.`;
  }
  const { country, postalCode } = values;
  if (!specs.some(({ field }) => field === 'postalCode')) return faults;
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
export const destinationOf = (values: AddressValues, asked: Asked = 'whole'): Destination | null => {
  const faults = addressFaults(values, asked);
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
  /** Whether it is sent or brought to the customer, or the customer collects it. */
  how: 'send' | 'collect';
  email: string;
  phone: string;
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

/** What is asked of whoever orders: all, the place for what does not travel, the name where it is collected. */
export const askedFor = ({ how }: Pick<CheckoutValues, 'how'>, travels: boolean): Asked => {
  if (!travels) return 'place';
  return how === 'collect' ? 'name' : 'whole';
};

/** How the customer is reached, as the order keeps it. */
export const contactOf = ({ email, phone }: CheckoutValues): Pick<PastOrder, 'contact'> => ({
  contact: {
    ...(email.trim() === '' ? {} : { email: email.trim() }),
    ...(phone.trim() === '' ? {} : { phone: phone.trim() }),
  },
});

const contactFaults = ({ email, phone }: CheckoutValues): Partial<Record<'email' | 'phone', string>> => {
  const [mail, number] = [email.trim(), phone.trim()];
  if (mail === '' && number === '') return { email: 'An e-mail address or a phone number is needed.' };
  const faults: Partial<Record<'email' | 'phone', string>> = {};
  if (mail !== '' && !z.email().max(254).safeParse(mail).success)
    faults.email = `“${mail.slice(0, 40)}” is not an e-mail address.`;
  if (number !== '' && !/^[+(]?[\d\s().\/-]{5,38}$/.test(number))
    faults.phone = `“${number.slice(0, 40)}” is not a phone number.`;
  return faults;
};

/** The checkout's form: who and where, how they are reached, and a billing address where it is another. */
export const checkoutSchema = (travels: boolean) =>
  z
    .object({
      how: z.enum(['send', 'collect']),
      email: z.string(),
      phone: z.string(),
      ship: addressShape,
      billSame: z.boolean(),
      bill: addressShape,
    })
    .superRefine((values, context) => {
      const add = (path: string[], message: string): void =>
        context.addIssue({ code: 'custom', path, message });
      for (const [field, message] of Object.entries(addressFaults(values.ship, askedFor(values, travels))))
        add(['ship', field], message);
      for (const [field, message] of Object.entries(contactFaults(values))) add([field], message);
      if (values.billSame) return;
      for (const [field, message] of Object.entries(addressFaults(values.bill)))
        add(['bill', field], message);
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
