import { spokenLocale } from '../../core/translate/translate.ts';

const currencyNames = new Intl.DisplayNames([spokenLocale()], { type: 'currency' });

/** A currency's name in the program's language, or its code where it has none. */
export const currencyName = (code: string): string => currencyNames.of(code) ?? code;

/** The currencies of ISO 4217, by name. */
export const CURRENCIES = Intl.supportedValuesOf('currency').map((id) => ({ id, name: currencyName(id) }));

/** The time zones of the IANA database. */
export const TIME_ZONES = Intl.supportedValuesOf('timeZone').map((id) => ({
  id,
  name: id.replaceAll('_', ' '),
  note: '',
}));
