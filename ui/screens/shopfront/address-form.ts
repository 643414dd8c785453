import { formatAddress, type Address } from 'localized-address-format';
import { z } from 'zod';
import type { PastOrder } from '../../../core/model/order.ts';
import type { Destination } from '../../../core/model/place.ts';
import type { CustomerWords } from '../../../core/words/customer/customer-words.ts';
import type { MessageId } from '../../../core/words/customer/english.ts';
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
  label: MessageId;
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
const POSTAL_LABELS: Record<string, MessageId> = {
  US: 'address.code-US',
  GB: 'address.code-GB',
  IE: 'address.code-IE',
  IN: 'address.code-IN',
};
/** What the post of a country calls its towns (the same table, field “locality_name_type”). */
const CITY_LABELS: Record<string, MessageId> = { US: 'address.city-US', AU: 'address.city-AU' };
/** What the post of a country calls its subdivisions (the same table, field “state_name_type”). */
const SUBDIVISION_LABELS: Record<string, MessageId> = {
  CA: 'address.region-CA',
  US: 'address.region-US',
  AU: 'address.region-AU',
  GB: 'address.region-GB',
  IE: 'address.region-IE',
  JP: 'address.region-JP',
  AE: 'address.region-AE',
  CO: 'address.region-CO',
  ...Object.fromEntries(['BR', 'IN', 'MX', 'MY', 'NG', 'VE'].map((code) => [code, 'address.region-US'])),
  ...Object.fromEntries(['AR', 'CN', 'ES', 'ID', 'IT', 'TH'].map((code) => [code, 'address.region-IT'])),
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
  const labels: Record<AddressField, MessageId> = {
    country: 'address.country',
    name: 'address.name',
    line1: 'address.line1',
    line2: 'address.line2',
    city: CITY_LABELS[country] ?? 'address.city',
    subdivision: SUBDIVISION_LABELS[country] ?? 'address.region',
    postalCode: POSTAL_LABELS[country] ?? 'address.code',
  };
  const required: Partial<Record<AddressField, boolean>> = {
    line2: false,
    subdivision: NEED_SUBDIVISION.has(country),
    postalCode: hasCodeForm(country),
  };
  return { field, label: labels[field], required: required[field] ?? true };
};

/** The fields of an address in a country, line by line in the order its post writes them; a street has a line to itself. */
export const addressLines = (country: string): FieldSpec[][] =>
  formatAddress({ postalCountry: country, ...MARKS }, 'latin').flatMap((line) => {
    const fields = [...line.matchAll(/\{(\w+)\}/g)].map(([, field]) =>
      specOf(country, field as AddressField),
    );
    const street = fields.filter(({ field }) => field === 'line1');
    const second = street.map(() => specOf(country, 'line2'));
    const others = fields.filter(({ field }) => field !== 'line1');
    // A line may hold nothing to fill in: the name of an island.
    return [street, second, others].filter(({ length }) => length > 0);
  });

/** Whether the addresses of a country have a postal code. */
export const hasPostalCode = (country: string): boolean =>
  addressLines(country)
    .flat()
    .some(({ field }) => field === 'postalCode');

/** What is wrong with a field, as a text of the catalogue with its figures and the field's own label. */
export interface FieldFault {
  id: MessageId;
  values?: Record<string, string | number>;
  label?: MessageId;
  /** Regions by their codes, which are said by name. */
  regions?: Record<string, string>;
}

/** What is wrong with a field, in the customer's words. */
export const fieldFaultText = (
  { id, values, label, regions = {} }: FieldFault,
  { say, region }: CustomerWords,
): string => {
  const name = label === undefined ? '' : say(label);
  // Within a sentence only names keep their capitals, as ZIP code and Eircode.
  const isWithin = id === 'address.no-code' && label === 'address.code';
  const named = Object.entries(regions).map(([key, code]) => [key, region(code, subdivisionName(code))]);
  return say(id, { ...values, ...Object.fromEntries(named), label: isWithin ? name.toLowerCase() : name });
};

const codeFault = (country: string, code: string): FieldFault | null =>
  isWholeCode(country)(code)
    ? null
    : {
        id: 'address.no-code',
        values: { code: code.trim() },
        label: POSTAL_LABELS[country] ?? 'address.code',
      };

/** The subdivision that the code itself names, where another is chosen; else null. */
export const codesSubdivision = ({ country, subdivision, postalCode }: AddressValues): string | null =>
  subdivision === '' ? null : contradictedBy({ country, subdivision, postalCode });

const codeElsewhere = (values: AddressValues): FieldFault | null => {
  const named = codesSubdivision(values);
  if (named === null) return null;
  return {
    id: 'address.code-elsewhere',
    values: { code: values.postalCode.trim() },
    regions: {
      named,
      chosen: values.subdivision,
    },
  };
};

/** How much of an address is asked for: all of it, the place alone for taxes, or only who it is. */
export type Asked = 'whole' | 'place' | 'name';
const ASKED: Record<Asked, readonly AddressField[] | null> = {
  whole: null,
  place: ['name', 'country', 'subdivision', 'postalCode'],
  name: ['name'],
};

/** What a place is known by. */
const PLACE: ReadonlySet<AddressField> = new Set(['country', 'subdivision', 'postalCode']);

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
): Partial<Record<AddressField, FieldFault>> => {
  const faults: Partial<Record<AddressField, FieldFault>> = {};
  const specs = askedLines(values.country, asked).flat();
  for (const { field, label, required } of specs) {
    const text = values[field].trim();
    if (text === '' && required) faults[field] = { id: 'address.needed', label };
    else if (text.length > LENGTHS[field])
      faults[field] = { id: 'address.too-long', values: { count: LENGTHS[field] } };
  }
  const { country, postalCode } = values;
  if (!specs.some(({ field }) => field === 'postalCode')) return faults;
  if (postalCode.trim() !== '' && !faults.postalCode) {
    const wrong = codeFault(country, postalCode);
    if (wrong) faults.postalCode = wrong;
  }
  const elsewhere = faults.postalCode ? null : codeElsewhere(values);
  if (elsewhere) faults.postalCode = elsewhere;
  return faults;
};

/** The labels of what is still empty of the country, region and code, without which nothing can be offered. */
export const lackingPlace = (values: AddressValues, asked: Asked): MessageId[] =>
  askedLines(values.country, asked)
    .flat()
    .filter(({ field, required }) => required && PLACE.has(field) && values[field].trim() === '')
    .map(({ label }) => label);

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

const contactFaults = ({ email, phone }: CheckoutValues): Partial<Record<'email' | 'phone', FieldFault>> => {
  const [mail, number] = [email.trim(), phone.trim()];
  if (mail === '' && number === '') return { email: { id: 'address.contact-needed' } };
  const faults: Partial<Record<'email' | 'phone', FieldFault>> = {};
  if (mail !== '' && !z.email().max(254).safeParse(mail).success)
    faults.email = { id: 'address.no-email', values: { text: mail.slice(0, 40) } };
  if (number !== '' && !/^[+(]?[\d\s().\/-]{5,38}$/.test(number))
    faults.phone = { id: 'address.no-phone', values: { text: number.slice(0, 40) } };
  return faults;
};

/** The checkout's form: who and where, how they are reached, and a billing address where it is another. */
export const checkoutSchema = (travels: boolean, words: CustomerWords) =>
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
      const add = (path: string[], found: FieldFault): void =>
        context.addIssue({ code: 'custom', path, message: fieldFaultText(found, words) });
      for (const [field, found] of Object.entries(addressFaults(values.ship, askedFor(values, travels))))
        add(['ship', field], found);
      for (const [field, found] of Object.entries(contactFaults(values))) add([field], found);
      if (values.billSame) return;
      for (const [field, found] of Object.entries(addressFaults(values.bill))) add(['bill', field], found);
    });
