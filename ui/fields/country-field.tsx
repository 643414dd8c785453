import { countryName } from '../../core/words/country-name.ts';
import { fieldOf, optionalFieldOf, type FieldKind } from './kind-fields.tsx';
import { readCountry } from './place-readers.ts';

const COUNTRY: FieldKind<string, unknown> = { write: countryName, read: () => readCountry };
/** A country, by its name; its two letters are read too. */
export const CountryField = fieldOf(COUNTRY);
export const OptionalCountryField = optionalFieldOf(COUNTRY);
