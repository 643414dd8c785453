import type { UseFormReturn } from 'react-hook-form';
import { t } from '../../../core/translate/translate.ts';
import { usualHours, type BeginValues } from './begin-form.ts';

/** Countries that weigh in pounds and measure in inches. */
const IMPERIAL = ['US', 'LR', 'MM'];
/** What the tax on sales is called, where it is called the same in the whole country. */
const TAX_NAMES: readonly { name: string; countries: readonly string[] }[] = [
  {
    name: t('VAT'),
    countries:
      'AT BE BG HR CY CZ DK EE FI FR DE GR HU IE IT LV LT LU MT NL PL PT RO SK SI ES SE GB NO CH ZA AE'.split(
        ' ',
      ),
  },
  { name: t('GST'), countries: ['CA', 'AU', 'NZ', 'IN', 'SG'] },
];

/** Countries where prices are said without the tax on sales, which is added at checkout. */
const TAX_ON_TOP = ['CA', 'US'];

/** The time zones of a country, as the platform knows them. */
const timeZonesOf = (country: string): readonly string[] => {
  const locale = new Intl.Locale(`und-${country}`) as Intl.Locale & {
    getTimeZones?: () => string[];
    timeZones?: string[];
  };
  return locale.getTimeZones?.() ?? locale.timeZones ?? [];
};

/** The days of rest of a country, Monday as 1, as the platform knows them; null where it does not. */
const weekendOf = (country: string): readonly number[] | null => {
  const locale = new Intl.Locale(`und-${country}`) as Intl.Locale & {
    getWeekInfo?: () => { weekend: number[] };
    weekInfo?: { weekend: number[] };
  };
  return (locale.getWeekInfo?.() ?? locale.weekInfo)?.weekend ?? null;
};

type Proposals = Partial<
  Pick<BeginValues, 'currency' | 'timeZone' | 'units' | 'taxName' | 'taxIncluded' | 'hours'>
>;

/**
 * What is usual in a country: its currency, units, time zone where it has one, days of work, its tax and whether prices
 * contain it.
 */
export const proposalsFor = async (country: string): Promise<Proposals> => {
  const { countries } = await import('countries-list');
  const [currency] = countries[country as keyof typeof countries]?.currency ?? [];
  const [timeZone, ...more] = timeZonesOf(country);
  const weekend = weekendOf(country);
  const taxName = TAX_NAMES.find(({ countries: taxed }) => taxed.includes(country))?.name;
  return {
    ...(currency === undefined ? {} : { currency }),
    ...(timeZone !== undefined && more.length === 0 ? { timeZone } : {}),
    ...(weekend ? { hours: usualHours(weekend) } : {}),
    units: IMPERIAL.includes(country) ? 'imperial' : 'metric',
    ...(taxName === undefined ? {} : { taxName }),
    taxIncluded: !TAX_ON_TOP.includes(country),
  };
};

/** Puts what is usual in a country into the fields that nobody has filled in. */
export const propose = async (form: UseFormReturn<BeginValues>, country: string): Promise<void> => {
  const proposals = await proposalsFor(country);
  if (form.getValues('country') !== country) return;
  for (const [name, value] of Object.entries(proposals) as [keyof Proposals, Proposals[keyof Proposals]][])
    if (!form.getFieldState(name).isDirty) form.setValue(name, value as never);
};
