import type { Book } from '../model/book.ts';
import { IN_ENGLISH, LANGUAGES } from '../model/language.ts';
import type { Coverage, DeliveryArea, PickupPoint, PostalRule } from '../model/delivery.ts';
import type { Box } from '../model/pack.ts';
import { goodsDifference } from '../goods/difference.ts';
import type { Catalogue, Good } from '../model/good.ts';
import type { Region, Zone } from '../model/place.ts';
import type { Naming } from '../adjust/adjustment-kind.ts';
import { adjustmentSentence } from '../adjust/adjustment-phrase.ts';
import { ruleName } from '../audit/problem-sentence.ts';
import {
  countFigure,
  currencyDecimals,
  sizeFigure,
  weightFigure,
  type DisplayFormat,
} from '../words/figure.ts';
import { groupPhrase } from '../words/group-phrase.ts';
import { areaPricePhrase, coveragePhrase, pickupPhrase } from '../price/nearby-phrase.ts';
import { namesOf } from '../words/names.ts';
import { placesListed } from '../words/place-phrase.ts';
import { ratePhrase } from '../price/rate-phrase.ts';
import type { RuleRef } from '../audit/finding.ts';
import { dutyChanges } from './duty-changes.ts';
import { firstFew } from './first-few.ts';
import { fieldChanges, type FieldContext } from './field-changes.ts';
import { rateChanges } from './rate-changes.ts';
import { storeChanges } from './store-changes.ts';

/** One change of a rule, in a sentence, with the rule. */
export interface Change {
  where: RuleRef;
  text: string;
}

/** A book and its goods, as they are compared. */
export interface Side {
  book: Book;
  catalogue: Catalogue;
}

const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

interface Named {
  id: string;
  name: string;
}

/** Items that came, went and changed between two lists, and whether those in both stand in another order. */
const listChanges = <T extends { id: string }>(
  kind: RuleRef['kind'],
  before: readonly T[],
  after: readonly T[],
  texts: { name: (item: T) => string; isNew?: (item: T) => string; changed: (was: T, is: T) => string[] },
): Change[] => {
  const old = new Map(before.map((item) => [item.id, item]));
  const now = new Map(after.map((item) => [item.id, item]));
  const at = (id: string): RuleRef => ({ kind, id });
  const come = after
    .filter(({ id }) => !old.has(id))
    .map((item) => ({
      where: at(item.id),
      text: `${texts.name(item)} is new${texts.isNew ? `: ${texts.isNew(item)}` : ''}.`,
    }));
  const gone = before
    .filter(({ id }) => !now.has(id))
    .map((item) => ({ where: at(item.id), text: `${texts.name(item)} is removed.` }));
  const changed = after.flatMap((item) => {
    const was = old.get(item.id);
    const words = was && !same(was, item) ? texts.changed(was, item) : [];
    return words.length === 0
      ? []
      : [{ where: at(item.id), text: `${texts.name(item)}: ${words.join('; ')}.` }];
  });
  return [...come, ...gone, ...changed];
};

const inOtherOrder = (before: readonly { id: string }[], after: readonly { id: string }[]): boolean => {
  const shared = (list: readonly { id: string }[], other: readonly { id: string }[]): string[] =>
    list.map(({ id }) => id).filter((id) => other.some((one) => one.id === id));
  return !same(shared(before, after), shared(after, before));
};

const STORE: RuleRef = { kind: 'store', id: 'store' };

const orderChanges = (before: Book, after: Book): Change[] =>
  (['zones', 'services', 'adjustments'] as const).flatMap((list) =>
    inOtherOrder(before[list], after[list])
      ? [{ where: STORE, text: `The order of the ${list} changes.` }]
      : [],
  );

const TAKES = ['takes', 'no longer takes'] as const;

const entryChanges = (
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

const leftOutChanges = (was: readonly string[], is: readonly string[], book: Book): string[] => {
  const names = (ids: readonly string[], others: readonly string[]): string =>
    namesOf(
      ids.filter((id) => !others.includes(id)),
      book.services,
    ).join(', ');
  const [come, gone] = [names(is, was), names(was, is)];
  return [
    ...(come ? [`${come} left out on purpose`] : []),
    ...(gone ? [`${gone} no longer left out on purpose`] : []),
  ];
};

const zoneChanges = (was: Zone, is: Zone, { book, display }: FieldContext): string[] => [
  ...(was.name === is.name ? [] : [`was named ${was.name}`]),
  ...(was.active === is.active ? [] : [is.active ? 'is switched on' : 'is switched off']),
  ...(was.remainder === is.remainder
    ? []
    : [is.remainder ? 'takes everywhere else' : 'no longer takes everywhere else']),
  ...entryChanges(was.includes, is.includes, TAKES, display),
  ...entryChanges(was.excludes, is.excludes, ['leaves out', 'no longer leaves out'], display),
  ...leftOutChanges(was.without ?? [], is.without ?? [], book),
];

const fieldsWith =
  (context: FieldContext) =>
  (was: object, is: object): string[] =>
    fieldChanges(was, is, context);

const byName = ({ name }: Named): string => name;

const adjustmentChanges = (old: Book, now: Book, naming: Naming): Change[] =>
  listChanges('adjustment', old.adjustments, now.adjustments, {
    name: ({ name }) => `“${name}”`,
    isNew: (one) => adjustmentSentence(one, naming).replace(/\.$/, ''),
    changed: (was, is) => [
      ...(was.active === is.active ? [] : [is.active ? 'is switched on' : 'is switched off']),
      ...(adjustmentSentence(was, naming) === adjustmentSentence(is, naming)
        ? []
        : [adjustmentSentence(is, naming).replace(/\.$/, '')]),
      ...(was.last === is.last ? [] : [is.last ? 'ends the list' : 'no longer ends the list']),
    ],
  });

const ruleChanges = (before: Side, after: Side, display: DisplayFormat): Change[] => {
  const [old, now] = [before.book, after.book];
  const fields = fieldsWith({ book: now, display });
  const goods = new Map(after.catalogue.goods.map((good) => [good.sku, good]));
  const naming: Naming = { book: now, goods, display };
  const nameOfRate =
    (book: Book) =>
    (rate: Book['rates'][number]): string =>
      ruleName(
        { kind: 'rate', id: rate.id },
        book.rates.some(({ id }) => id === rate.id) ? book : old,
        goods,
      );
  return [
    ...listChanges('zone', old.zones, now.zones, {
      name: byName,
      changed: (was, is) => zoneChanges(was, is, { book: now, display }),
    }),
    ...listChanges('service', old.services, now.services, { name: byName, changed: fields }),
    ...listChanges('rate', old.rates, now.rates, {
      name: nameOfRate(now),
      isNew: (rate) => [ratePhrase(rate, display).price, ...ratePhrase(rate, display).notes].join(', '),
      changed: (was, is) => rateChanges(was, is, { book: now, display }),
    }),
    ...adjustmentChanges(old, now, naming),
    ...listChanges('group', old.groups, now.groups, {
      name: byName,
      changed: (was, is) =>
        groupPhrase(was, old) === groupPhrase(is, now) ? fields(was, is) : [groupPhrase(is, now)],
    }),
    ...listChanges('location', old.locations, now.locations, { name: byName, changed: fields }),
    ...nearbyChanges(old, now, display),
    ...listChanges('store', old.taxes, now.taxes, { name: byName, changed: fields }),
    ...listChanges('store', old.payments, now.payments, { name: byName, changed: fields }),
  ];
};

const coverageChanges = (was: Coverage, is: Coverage, display: DisplayFormat): string[] => {
  if (was.kind === 'postal' && is.kind === 'postal' && was.country === is.country) {
    const regions = (covers: typeof was): Region[] => [{ country: covers.country, postal: covers.patterns }];
    return entryChanges(regions(was), regions(is), TAKES, display);
  }
  if (same(was, is)) return [];
  return is.kind === 'shape' && was.kind === 'shape'
    ? ['its shape changes']
    : [`delivers ${coveragePhrase(is, display)}, not ${coveragePhrase(was, display)}`];
};

const areaChanges = (was: DeliveryArea, is: DeliveryArea, context: FieldContext): string[] => {
  const { active: wasActive, covers: wasCovers, ...old } = was;
  const { active, covers, ...now } = is;
  return [
    ...(wasActive === active ? [] : [active ? 'is switched on' : 'is switched off']),
    ...coverageChanges(wasCovers, covers, context.display),
    ...fieldChanges(old, now, context),
  ];
};

const pickupChanges = (was: PickupPoint, is: PickupPoint, context: FieldContext): string[] => {
  const { active: wasActive, ...old } = was;
  const { active, ...now } = is;
  return [
    ...(wasActive === active ? [] : [active ? 'is switched on' : 'is switched off']),
    ...fieldChanges(old, now, context),
  ];
};

/** What changed in local delivery and collection. */
const nearbyChanges = (old: Book, now: Book, display: DisplayFormat): Change[] => [
  ...listChanges('area', old.areas, now.areas, {
    name: byName,
    isNew: (area) => `${coveragePhrase(area.covers, display)}, ${areaPricePhrase(area, display)}`,
    changed: (was, is) => areaChanges(was, is, { book: now, display }),
  }),
  ...listChanges('pickup', old.pickups, now.pickups, {
    name: byName,
    isNew: (point) => pickupPhrase(point, display),
    changed: (was, is) => pickupChanges(was, is, { book: now, display }),
  }),
];

const boxPhrase = ({ inside, maxWeight }: Box, { units }: DisplayFormat): string =>
  `${sizeFigure(inside, units)}, up to ${weightFigure(maxWeight, units)}`;

/** What changed in the carrier accounts, the boxes and the import charges. */
const carrierChanges = (old: Book, now: Book, display: DisplayFormat): Change[] => [
  ...listChanges('carrier', old.carriers, now.carriers, {
    name: byName,
    changed: fieldsWith({ book: now, display }),
  }),
  ...listChanges('box', old.boxes, now.boxes, {
    name: byName,
    isNew: (box) => boxPhrase(box, display),
    changed: (was, is) =>
      boxPhrase(was, display) === boxPhrase(is, display)
        ? fieldChanges(was, is, { book: now, display })
        : [`${boxPhrase(was, display)} becomes ${boxPhrase(is, display)}`],
  }),
  ...dutyChanges(old.duties, now.duties, display).map((text) => ({
    where: { kind: 'duty', id: 'rules' } as const,
    text,
  })),
];

/** How many texts read otherwise in another language. */
const translationChanges = (old: Book, now: Book): Change[] =>
  LANGUAGES.flatMap((language) => {
    const of = ({ translations = [] }: Book): Map<string, string> =>
      new Map(translations.filter((one) => one.language === language).map(({ text, as }) => [text, as]));
    const [was, is] = [of(old), of(now)];
    const changed = [...new Set([...was.keys(), ...is.keys()])].filter(
      (text) => was.get(text) !== is.get(text),
    );
    const text = `${countFigure(changed.length, 'text')} in ${IN_ENGLISH[language]} ${changed.length === 1 ? 'changes' : 'change'}: ${firstFew(changed.map((one) => `“${one.slice(0, 40)}”`))}.`;
    return changed.length === 0 ? [] : [{ where: STORE, text }];
  });

const lineChange = (was: PostalRule, is: PostalRule): string => {
  const words = [
    ...(was.served === is.served ? [] : [is.served ? 'served' : 'no longer served']),
    ...(was.cashOnDelivery === is.cashOnDelivery
      ? []
      : [is.cashOnDelivery ? 'cash on delivery' : 'no cash on delivery']),
    ...(was.days === is.days ? [] : [`${was.days ?? 'no'} days become ${is.days ?? 'none'}`]),
  ];
  return `${is.country} ${is.pattern} (${words.join(', ')})`;
};

const postalChanges = (old: readonly PostalRule[], now: readonly PostalRule[]): Change[] => {
  const keyOf = ({ country, pattern }: PostalRule): string => `${country} ${pattern}`;
  const before = new Map(old.map((line) => [keyOf(line), line]));
  const after = new Set(now.map(keyOf));
  const words = [
    [now.filter((line) => !before.has(keyOf(line))).map(keyOf), 'new'],
    [old.map(keyOf).filter((key) => !after.has(key)), 'gone'],
    [
      now
        .filter((line) => before.has(keyOf(line)) && !same(before.get(keyOf(line)), line))
        .map((line) => lineChange(before.get(keyOf(line)) ?? line, line)),
      'changed',
    ],
  ] as const;
  return words.flatMap(([lines, what]) =>
    lines.length === 0
      ? []
      : [
          {
            where: { kind: 'postal', id: 'list' },
            text: `The postal list, ${what}: ${firstFew(lines)}.`,
          } as const,
        ],
  );
};

const longListChanges = (old: Book, now: Book): Change[] => [
  ...listChanges('table', old.rateTables, now.rateTables, {
    name: byName,
    isNew: ({ rows }) => countFigure(rows.length, 'row'),
    changed: (was, is) => {
      const kept = new Set(was.rows.map((row) => JSON.stringify(row)));
      const changed = is.rows.filter((row) => !kept.has(JSON.stringify(row))).length;
      return [
        ...(was.name === is.name ? [] : [`was named ${was.name}`]),
        ...(was.rows.length === is.rows.length ? [] : [`${was.rows.length} rows become ${is.rows.length}`]),
        ...(changed > 0 ? [`${countFigure(changed, 'row')} changed or new`] : []),
      ];
    },
  }),
  ...postalChanges(old.postalList, now.postalList),
];

const goodChanges = (before: readonly Good[], after: readonly Good[], display: DisplayFormat): Change[] => {
  const { added, removed, changed } = goodsDifference(before, after, display);
  const at = (sku: string): RuleRef => ({ kind: 'good', id: sku });
  return [
    ...added.map(({ sku, name }) => ({ where: at(sku), text: `${name} is a new product.` })),
    ...removed.map(({ sku, name }) => ({ where: at(sku), text: `${name} is no longer sold.` })),
    ...changed.map(({ sku, name, fields }) => ({
      where: at(sku),
      text: `${name}: ${fields.map(({ name: field, from, to }) => `${field} ${from || 'none'} becomes ${to || 'none'}`).join('; ')}.`,
    })),
  ];
};

/**
 * What changed between two states of the shop, rule by rule, in sentences. `regionName` is what a region is called by
 * its code of ISO 3166-2; without it regions have their codes.
 */
export const differences = (
  before: Side,
  after: Side,
  regionName?: DisplayFormat['regionName'],
): Change[] => {
  const { store } = after.book;
  const display: DisplayFormat = {
    decimals: currencyDecimals(store.currency),
    units: store.units,
    ...(regionName ? { regionName } : {}),
  };
  return [
    ...storeChanges(before.book.store, store, { book: after.book, display }).map((text) => ({
      where: STORE,
      text,
    })),
    ...translationChanges(before.book, after.book),
    ...ruleChanges(before, after, display),
    ...carrierChanges(before.book, after.book, display),
    ...longListChanges(before.book, after.book),
    ...orderChanges(before.book, after.book),
    ...(before.catalogue === after.catalogue
      ? []
      : goodChanges(before.catalogue.goods, after.catalogue.goods, display)),
  ];
};
