import { t } from '../translate/translate.ts';
import { LANGUAGE_WORDS, type Language } from '../model/language.ts';
import type { Region } from '../model/place.ts';
import type { Store } from '../model/store.ts';
import type { BookChange } from './changes.ts';
import { VALUE_NAMES } from './field-names.ts';
import { fieldChanges, type FieldContext } from './field-words.ts';
import { moneyFigure, weightFigure, type DisplayFormat } from '../words/figure.ts';
import { placeNames, placesListed } from '../words/place-phrase.ts';

/** What each field of the store is called. */
const NAMES: Record<keyof Store, string> = {
  name: t('its name'),
  currency: t('the currency'),
  timeZone: t('the time zone'),
  units: t('the units'),
  pricesIncludeTax: t('whether prices include tax'),
  sellsTo: t('where it sells'),
  unlistedPostalCodes: t('codes that are not on the postal list'),
  postalSpareDays: t('the days on top of the postal list'),
  languages: t('the languages of the shop'),
  codeCheck: t('the postal check on the product page'),
  defaultWeight: t('the weight where none is known'),
  packing: t('how products are packed'),
  handling: t('handling on every charge'),
  rounding: t('the rounding of charges'),
  pause: t('the pause'),
  choiceOrder: t('the order of choices'),
};

const wordsOf = (field: keyof Store, value: unknown, display: DisplayFormat): string | null => {
  if (field === 'languages' && value === undefined) return LANGUAGE_WORDS.en;
  if (value === undefined) return t('none');
  if (field === 'defaultWeight') return weightFigure(value as number, display.units);
  if (field === 'languages') return (value as Language[]).map((one) => LANGUAGE_WORDS[one]).join(', ');
  if (field === 'rounding') {
    const rounding = value as Store['rounding'];
    return rounding === 'none'
      ? t('none')
      : t('to {amount}, {mode}', {
          amount: moneyFigure(rounding.to, display.decimals),
          mode: VALUE_NAMES.mode?.[rounding.mode],
        });
  }
  if (typeof value === 'boolean') return value ? t('yes') : t('no');
  if (typeof value === 'string') return VALUE_NAMES[field]?.[value] ?? value;
  return typeof value === 'number' ? String(value) : null;
};

const regionChanges = (
  was: Store['sellsTo'],
  is: Store['sellsTo'],
  field: 'closedRegions' | 'onlyRegions',
  name: string,
  display: DisplayFormat,
): string[] => {
  const words = (regions: readonly Region[] = []): string => placesListed(regions, display).join(', ');
  const [old, now] = [words(was[field]), words(is[field])];
  return old === now
    ? []
    : [t('{name}: {was} becomes {is}', { name, was: old || t('none'), is: now || t('none') })];
};

const sellsToChanges = (was: Store['sellsTo'], is: Store['sellsTo'], display: DisplayFormat): string[] => {
  const named = (countries: readonly string[]): string => countries.map(placeNames(display)).join(', ');
  const opened = (countries: string): string => t('{countries} opened', { countries });
  const closed = (countries: string): string => t('{countries} closed', { countries });
  const [come, gone] = is.mode === 'listed' ? [opened, closed] : [closed, opened];
  if (was.mode !== is.mode)
    return [
      is.mode === 'listed'
        ? t('only to {count}', { count: named(is.countries) || t('no country') })
        : t('everywhere except {count}', { count: named(is.countries) || t('nowhere') }),
    ];
  const added = is.countries.filter((country) => !was.countries.includes(country));
  const taken = was.countries.filter((country) => !is.countries.includes(country));
  return [
    ...(added.length > 0 ? [come(named(added))] : []),
    ...(taken.length > 0 ? [gone(named(taken))] : []),
    ...regionChanges(was, is, 'closedRegions', t('closed regions'), display),
    ...regionChanges(was, is, 'onlyRegions', t('open regions of closed countries'), display),
    ...((was.digitalEverywhere ?? false) === (is.digitalEverywhere ?? false)
      ? []
      : [
          is.digitalEverywhere
            ? t('products that are not shipped are sold everywhere')
            : t('products that are not shipped are sold only where the shop sells'),
        ]),
  ];
};

type StoreChange = Extract<BookChange, { of: 'store' }>;

/** What changed about a field of the store, a sentence for each part of it. */
export const storeSentences = ({ field, was, is }: StoreChange, context: FieldContext): string[] => {
  if (field === 'sellsTo')
    return sellsToChanges(was as Store['sellsTo'], is as Store['sellsTo'], context.display).map((words) =>
      t('The store, where it sells: {words}.', { words }),
    );
  const [old, now] = [wordsOf(field, was, context.display), wordsOf(field, is, context.display)];
  return old === null || now === null
    ? fieldChanges({ [field]: was }, { [field]: is }, context).map((words) =>
        t('The store, {words}.', { words }),
      )
    : [t('The store, {what}: {was} becomes {is}.', { what: NAMES[field], was: old, is: now })];
};
