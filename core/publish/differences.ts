import { inQuotes } from '../words/in-quotes.ts';
import { t } from '../translate/translate.ts';
import { labelled } from '../words/labelled.ts';
import type { RuleRef } from '../audit/finding.ts';
import { goodFieldChanges } from '../goods/difference.ts';
import type { PostalRule } from '../model/delivery.ts';
import { LANGUAGE_WORDS } from '../model/language.ts';
import { patternName } from '../place/written-code.ts';
import { currencyDecimals, type DisplayFormat } from '../words/figure.ts';
import { bookChanges, type BookChange, type EntryChange, type ListName, type Side } from './changes.ts';
import { dutySentences } from './duty-words.ts';
import { ENTRY_WORDS, type ChangeContext, type EntryWords } from './entry-words.ts';
import { fieldChanges } from './field-words.ts';
import { firstFew } from './first-few.ts';
import { storeSentences } from './store-words.ts';

/** One change of a rule, in a sentence, with the rule. */
export interface Change {
  where: RuleRef;
  text: string;
}

const STORE: RuleRef = { kind: 'store', id: 'store' };

/** What is said of a change that no words are made for: it is not passed over. */
const OTHERWISE = t('another detail changes');

/** A sentence with its full stop, unless it ends with one that is quoted. */
const ended = (text: string): string => (/[.!?]”$/.test(text) ? text : `${text}.`);

const entrySentence = <L extends ListName>(
  { of, was, is }: EntryChange<L>,
  context: ChangeContext,
): Change[] => {
  const words = ENTRY_WORDS[of] as unknown as EntryWords<NonNullable<typeof is>>;
  const entry = is ?? was;
  if (!entry) return [];
  const where: RuleRef = { kind: words.kind, id: entry.id };
  const name = words.name?.(entry, context) ?? (entry as { name: string }).name;
  if (!is) return [{ where, text: t('{name} is removed.', { name }) }];
  if (!was)
    return [
      {
        where,
        text: words.isNew
          ? t('{name} is new: {content}.', { name, content: words.isNew(is, context) })
          : t('{name} is new.', { name }),
      },
    ];
  const told = words.changed(was, is, context);
  const all = told.length > 0 ? told : fieldChanges(was, is, context);
  return [{ where, text: ended(labelled(name, all.join('; ') || OTHERWISE)) }];
};

const lineName = ({ country, pattern }: PostalRule): string => `${country} ${patternName(country, pattern)}`;

const lineChange = (was: PostalRule, is: PostalRule): string => {
  const words = [
    ...(was.served === is.served ? [] : [is.served ? t('served') : t('no longer served')]),
    ...(was.cashOnDelivery === is.cashOnDelivery
      ? []
      : [is.cashOnDelivery ? t('cash on delivery') : t('no cash on delivery')]),
    ...(was.days === is.days
      ? []
      : [
          t('{name}: {was} becomes {is}', {
            name: t('days'),
            was: was.days ?? t('none'),
            is: is.days ?? t('none'),
          }),
        ]),
  ];
  return `${lineName(is)} (${words.join(', ')})`;
};

const postalSentence = ({ what, lines }: Extract<BookChange, { of: 'postalList' }>): Change => {
  const words = lines.map(({ was, is }) => {
    const line = is ?? was;
    if (was && is) return lineChange(was, is);
    return line ? lineName(line) : '';
  });
  return {
    where: { kind: 'postal', id: 'list' },
    text: t('The postal list, {what, select, new {new} gone {gone} other {changed}}: {firstFew}.', {
      what,
      firstFew: firstFew(words),
    }),
  };
};

const translationSentence = ({ language, texts }: Extract<BookChange, { of: 'translations' }>): Change => ({
  where: STORE,
  text: t(
    '{count, plural, one {# text} other {# texts}} in {language} {count, plural, one {changes} other {change}}: {list}.',
    {
      count: texts.length,
      language: LANGUAGE_WORDS[language],
      list: firstFew(texts.map((one) => inQuotes(one.slice(0, 40)))),
    },
  ),
});

const goodSentence = (
  { was, is }: Extract<BookChange, { of: 'goods' }>,
  display: DisplayFormat,
): Change[] => {
  const good = is ?? was;
  if (!good) return [];
  const where: RuleRef = { kind: 'good', id: good.sku };
  if (!was) return [{ where, text: t('{good} is a new product.', { good: good.name }) }];
  if (!is) return [{ where, text: t('{good} is no longer sold.', { good: good.name }) }];
  const words = goodFieldChanges(was, is, display).map(({ name, from, to }) =>
    t('{name} {was} becomes {is}', { name, was: from, is: to }),
  );
  return [{ where, text: `${labelled(good.name, words.join('; ') || OTHERWISE)}.` }];
};

const ORDERED_NAMES: Record<Extract<BookChange, { of: 'order' }>['list'], string> = {
  zones: t('zones'),
  services: t('services'),
  adjustments: t('adjustments'),
};

/** The sentences for one change; several where it has several parts. */
const sentencesFor = (change: BookChange, context: ChangeContext): Change[] => {
  const { display } = context;
  if (change.of === 'store') return storeSentences(change, context).map((text) => ({ where: STORE, text }));
  if (change.of === 'translations') return [translationSentence(change)];
  if (change.of === 'duties')
    return dutySentences(change.was, change.is, display).map((text) => ({
      where: { kind: 'duty', id: 'rules' },
      text,
    }));
  if (change.of === 'postalList') return [postalSentence(change)];
  if (change.of === 'order')
    return [
      { where: STORE, text: t('The order of the {list} changes.', { list: ORDERED_NAMES[change.list] }) },
    ];
  return change.of === 'goods' ? goodSentence(change, display) : entrySentence(change, context);
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
  const goods = new Map(after.catalogue.goods.map((good) => [good.sku, good]));
  const context: ChangeContext = { book: after.book, old: before.book, goods, display };
  return bookChanges(before, after).flatMap((change) => sentencesFor(change, context));
};
