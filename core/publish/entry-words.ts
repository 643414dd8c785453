import { inQuotes } from '../words/in-quotes.ts';
import { t } from '../translate/translate.ts';
import { adjustmentSentence } from '../adjust/adjustment-phrase.ts';
import type { Naming } from '../adjust/adjustment-kind.ts';
import type { RuleRef } from '../audit/finding.ts';
import type { Adjustment } from '../model/adjustment.ts';
import type { Book } from '../model/book.ts';
import type { Coverage, DeliveryArea, PickupPoint } from '../model/delivery.ts';
import type { Box } from '../model/pack.ts';
import type { Region, Zone } from '../model/place.ts';
import type { RateTable } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import { areaPricePhrase, coveragePhrase, pickupPhrase } from '../price/nearby-phrase.ts';
import { ratePhrase } from '../price/rate-phrase.ts';
import { sizeFigure, weightFigure, type DisplayFormat } from '../words/figure.ts';
import { groupPhrase } from '../words/group-phrase.ts';
import { namesOf } from '../words/names.ts';
import { placesListed } from '../words/place-phrase.ts';
import { same, type ListName } from './changes.ts';
import { fieldChanges, type FieldContext } from './field-words.ts';
import { firstFew } from './first-few.ts';
import { priceChanges, rateChanges } from './rate-words.ts';

/** What the words of a change are made from: both books, the goods, and how figures are written. */
export interface ChangeContext extends FieldContext {
  old: Book;
  goods: Naming['goods'];
}

/** How the entries of one list of the book are told of. */
export interface EntryWords<T> {
  /** The kind of rule that a change leads to. */
  kind: RuleRef['kind'];
  name?: (entry: T, context: ChangeContext) => string;
  /** What a new one is, in a few words. */
  isNew?: (entry: T, context: ChangeContext) => string;
  changed: (was: T, is: T, context: ChangeContext) => string[];
}

const switched = (was: { active: boolean }, is: { active: boolean }): string[] =>
  was.active === is.active ? [] : [is.active ? t('is switched on') : t('is switched off')];
const renamed = (was: { name: string }, is: { name: string }): string[] =>
  was.name === is.name ? [] : [t('was named {was}', { was: was.name })];

const TAKES = [t('takes'), t('no longer takes')] as const;

const regionWords = (
  before: readonly Region[],
  after: readonly Region[],
  [come, gone]: readonly [come: string, gone: string],
  display: DisplayFormat,
): string[] => {
  const [was, is] = [placesListed(before, display), placesListed(after, display)];
  const added = is.filter((entry) => !was.includes(entry));
  const taken = was.filter((entry) => !is.includes(entry));
  return [
    ...(added.length > 0 ? [`${come} ${firstFew(added)}`] : []),
    ...(taken.length > 0 ? [`${gone} ${firstFew(taken)}`] : []),
  ];
};

const leftOutWords = (was: readonly string[], is: readonly string[], book: Book): string[] => {
  const names = (ids: readonly string[], others: readonly string[]): string =>
    namesOf(
      ids.filter((id) => !others.includes(id)),
      book.services,
    ).join(', ');
  const [come, gone] = [names(is, was), names(was, is)];
  return [
    ...(come ? [t('{come} left out on purpose', { come })] : []),
    ...(gone ? [t('{gone} no longer left out on purpose', { gone })] : []),
  ];
};

const zoneWords = (was: Zone, is: Zone, { book, display }: ChangeContext): string[] => [
  ...renamed(was, is),
  ...switched(was, is),
  ...(was.remainder === is.remainder
    ? []
    : [is.remainder ? t('takes everywhere else') : t('no longer takes everywhere else')]),
  ...regionWords(was.includes, is.includes, TAKES, display),
  ...regionWords(was.excludes, is.excludes, [t('leaves out'), t('no longer leaves out')], display),
  ...leftOutWords(was.without ?? [], is.without ?? [], book),
];

const ruleOf = ({ when, to, effect }: Adjustment): object => ({ when, to, effect });

const messageOf = ({ effect }: Adjustment): object =>
  effect.do === 'withhold' ? { whatTheCustomerIsTold: effect.message } : {};

/** What an adjustment says now; of a part that its sentence does not tell, the fields. */
const adjustmentWords = (was: Adjustment, is: Adjustment, context: ChangeContext): string[] => {
  if (same(ruleOf(was), ruleOf(is))) return [];
  const sentence = (one: Adjustment): string => adjustmentSentence(one, context).replace(/\.$/, '');
  const told = [
    ...(sentence(was) === sentence(is) ? [] : [sentence(is)]),
    ...fieldChanges(messageOf(was), messageOf(is), context),
  ];
  return told.length > 0 ? told : fieldChanges(ruleOf(was), ruleOf(is), context);
};

const coverageWords = (was: Coverage, is: Coverage, display: DisplayFormat): string[] => {
  if (was.kind === 'postal' && is.kind === 'postal' && was.country === is.country) {
    const regions = (covers: typeof was): Region[] => [{ country: covers.country, postal: covers.patterns }];
    return regionWords(regions(was), regions(is), TAKES, display);
  }
  if (same(was, is)) return [];
  return is.kind === 'shape' && was.kind === 'shape'
    ? [t('its shape changes')]
    : [
        t('delivers {coverage}, not {coverage2}', {
          coverage: coveragePhrase(is, display),
          coverage2: coveragePhrase(was, display),
        }),
      ];
};

const areaWords = (was: DeliveryArea, is: DeliveryArea, context: ChangeContext): string[] => {
  const { active: _, covers: wasCovers, price: wasPrice, ...old } = was;
  const { active: __, covers, price, ...now } = is;
  return [
    ...switched(was, is),
    ...coverageWords(wasCovers, covers, context.display),
    ...priceChanges(wasPrice, price, context).map((words) => t('price, {words}', { words })),
    ...fieldChanges(old, now, context),
  ];
};

const pickupWords = (was: PickupPoint, is: PickupPoint, context: ChangeContext): string[] => {
  const { active: _, ...old } = was;
  const { active: __, ...now } = is;
  return [...switched(was, is), ...fieldChanges(old, now, context)];
};

const boxPhrase = ({ inside, maxWeight }: Box, { display: { units } }: ChangeContext): string =>
  t('{size}, up to {weight}', { size: sizeFigure(inside, units), weight: weightFigure(maxWeight, units) });

const boxWords = (was: Box, is: Box, context: ChangeContext): string[] => {
  const { inside: _, maxWeight: __, ...old } = was;
  const { inside, maxWeight, ...now } = is;
  return [
    ...(same([was.inside, was.maxWeight], [inside, maxWeight])
      ? []
      : [t('{box} becomes {box2}', { box: boxPhrase(was, context), box2: boxPhrase(is, context) })]),
    ...fieldChanges(old, now, context),
  ];
};

const tableWords = (was: RateTable, is: RateTable): string[] => {
  const kept = new Set(was.rows.map((row) => JSON.stringify(row)));
  const changed = is.rows.filter((row) => !kept.has(JSON.stringify(row))).length;
  return [
    ...renamed(was, is),
    ...(was.rows.length === is.rows.length
      ? []
      : [t('{was} rows become {is}', { was: was.rows.length, is: is.rows.length })]),
    ...(changed > 0 ? [t('{changed, plural, one {# row} other {# rows}} changed or new', { changed })] : []),
  ];
};

/** A rate by its service and zone, as the book says them, or the one before for a rate that is gone: 'Parcel to West'. */
export const nameOfRate = (
  { id, serviceId, zoneId }: Rate,
  { book, old }: Pick<ChangeContext, 'book' | 'old'>,
): string => {
  const { services, zones } = book.rates.some((rate) => rate.id === id) ? book : old;
  return t('{list} to {list2}', {
    list: namesOf([serviceId], services).join(''),
    list2: namesOf([zoneId], zones).join(''),
  });
};

const cellWords = (was: Rate, is: Rate, context: ChangeContext): string[] =>
  was.serviceId === is.serviceId && was.zoneId === is.zoneId
    ? []
    : [t('was for {ofRate}', { ofRate: nameOfRate(was, { ...context, book: context.old }) })];

/** How each list's entries are told of. */
export const ENTRY_WORDS: { readonly [L in ListName]: EntryWords<Book[L][number]> } = {
  zones: { kind: 'zone', changed: zoneWords },
  services: { kind: 'service', changed: fieldChanges },
  rates: {
    kind: 'rate',
    name: nameOfRate,
    isNew: (rate, { display }) => {
      const { price, notes } = ratePhrase(rate, display);
      return [price, ...notes].join(', ');
    },
    changed: (was, is, context) => [...cellWords(was, is, context), ...rateChanges(was, is, context)],
  },
  adjustments: {
    kind: 'adjustment',
    name: ({ name }) => inQuotes(name),
    isNew: (one, context) => adjustmentSentence(one, context).replace(/\.$/, ''),
    changed: (was, is, context) => [
      ...renamed(was, is),
      ...switched(was, is),
      ...adjustmentWords(was, is, context),
      ...((was.last ?? false) === (is.last ?? false)
        ? []
        : [is.last ? t('skips later adjustments') : t('no longer skips later adjustments')]),
    ],
  },
  groups: {
    kind: 'group',
    changed: (was, is, context) => {
      const [before, now] = [groupPhrase(was, context.old), groupPhrase(is, context.book)];
      return before === now ? fieldChanges(was, is, context) : [...renamed(was, is), now];
    },
  },
  locations: { kind: 'location', changed: fieldChanges },
  areas: {
    kind: 'area',
    isNew: (area, { display }) =>
      `${coveragePhrase(area.covers, display)}, ${areaPricePhrase(area, display)}`,
    changed: areaWords,
  },
  pickups: {
    kind: 'pickup',
    isNew: (point, { display }) => pickupPhrase(point, display),
    changed: pickupWords,
  },
  taxes: { kind: 'store', changed: fieldChanges },
  payments: { kind: 'store', changed: fieldChanges },
  carriers: { kind: 'carrier', changed: fieldChanges },
  boxes: { kind: 'box', isNew: boxPhrase, changed: boxWords },
  rateTables: {
    kind: 'table',
    isNew: ({ rows }) => t('{count, plural, one {# row} other {# rows}}', { count: rows.length }),
    changed: tableWords,
  },
};
