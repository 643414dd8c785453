import { t } from '../translate/translate.ts';
import { labelled } from '../words/labelled.ts';
import type { Adjustment, ChoiceKind } from '../model/adjustment.ts';
import type { Book } from '../model/book.ts';
import { listed, namesOf } from '../words/names.ts';
import type { Naming } from './adjustment-kind.ts';
import { conditionKind } from './condition-kinds.ts';
import { effectKind } from './effect-kinds.ts';

const KINDS: Record<ChoiceKind, string> = {
  shipping: t('shipping', {}, 'subject'),
  delivery: t('local delivery', {}, 'subject'),
  pickup: t('pickup', {}, 'subject'),
  'nothing-to-ship': t('orders with nothing to ship', {}, 'subject'),
};

/** 'Van in Harbour ring' for each delivery method. */
const methodNames = (methods: NonNullable<Adjustment['to']['methods']>, areas: Book['areas']): string[] =>
  methods.map(({ areaId, methodId }) => {
    const area = areas.find(({ id }) => id === areaId);
    return t('{method} in {area}', {
      method: area?.methods.find(({ id }) => id === methodId)?.name ?? methodId,
      area: area?.name ?? areaId,
    });
  });

/** What an adjustment is for, in a few words: 'Parcel', 'local delivery', 'every choice'. */
export const subjectWords = ({ to }: Pick<Adjustment, 'to'>, { book }: Naming): string => {
  const named = [
    ...(to.serviceIds ? [listed(namesOf(to.serviceIds, book.services), 'or')] : []),
    ...(to.areaIds ? [listed(namesOf(to.areaIds, book.areas), 'or')] : []),
    ...(to.methods ? [listed(methodNames(to.methods, book.areas), 'or')] : []),
    ...(to.pickupIds ? [listed(namesOf(to.pickupIds, book.pickups), 'or')] : []),
  ];
  const codes = to.carrierCodes ? t(' by {codes}', { codes: listed(to.carrierCodes, 'or') }) : '';
  if (named.length > 0) return `${named.join(t(' and '))}${codes}`;
  const kinds = to.kinds
    ? listed(
        to.kinds.map((kind) => KINDS[kind]),
        'or',
      )
    : t('every choice');
  return `${kinds}${codes}`;
};

/**
 * An adjustment as a sentence: 'When the order value is 85.00 or more and the zone is Maritimes: Parcel is
 * free.' An adjustment without conditions holds always.
 */
export const adjustmentSentence = (
  { when, to, effect }: Pick<Adjustment, 'when' | 'to' | 'effect'>,
  naming: Naming,
): string => {
  const conditions = [
    ...when.map((condition) => conditionKind(condition).words(condition, naming)),
    ...(to.zoneIds
      ? [t('the zone is {zones}', { zones: listed(namesOf(to.zoneIds, naming.book.zones), 'or') })]
      : []),
  ];
  const start =
    conditions.length === 0 ? t('Always') : t('When {list}', { list: conditions.join(t(' and ')) });
  return `${labelled(start, `${subjectWords({ to }, naming)} ${effectKind(effect).words(effect, naming)}`)}.`;
};
