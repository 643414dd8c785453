import type { Choice, Quote } from '../model/quote.ts';
import type { Message } from '../words/message.ts';
import { messageOf } from '../words/message-of.ts';
import type { FindingCode, RuleRef } from './finding.ts';

/** Why a charge is what it should not be, and the rules that make it so. */
export interface Cause {
  code: FindingCode;
  where: [RuleRef, ...RuleRef[]];
}

/** Whether a line makes a charge free by a rule that says so. */
const isFreeRule = (line: Choice['working'][number]): boolean => {
  if (line.step === 'free-from') return true;
  const say = messageOf(line);
  return say?.code === 'adjusted' && say.effect.do === 'free';
};

const KINDS = { shipping: 'rate', delivery: 'area', pickup: 'pickup', 'nothing-to-ship': 'store' } as const;

/** The rule that a choice comes from: a rate, an area or a pickup point. */
const ruleOf = ({ id, kind, of }: Choice, part?: number): RuleRef => {
  const whole = of.serviceCode === undefined ? (of.rateId ?? id) : `${of.rateId}:${of.serviceCode}`;
  const rule = kind === 'delivery' && part !== undefined ? (of.areaId ?? id) : whole;
  return { kind: KINDS[kind], id: part === undefined ? rule : `${rule}:${part}` };
};
const adjustmentOf = (id: string): RuleRef => ({ kind: 'adjustment', id });

/** A price that came to nothing: its rate, with the step where it has steps. */
const freePrice = (choice: Choice): Cause | null => {
  const price = choice.working.find(({ step }) => step === 'price');
  const say = price ? messageOf(price) : null;
  if (!say || say.code === 'goes-free' || say.code === 'nothing-travels') return null;
  if (say.code === 'pickup-charge') return null;
  if (say.code === 'tier') return { code: 'free-price', where: [ruleOf(choice, say.from)] };
  if (say.code === 'table-row' && price?.from.kind === 'table')
    return {
      code: 'free-price',
      where: [{ kind: 'table', id: `${price.from.id}:${say.row}` }, ruleOf(choice)],
    };
  return { code: 'free-price', where: [ruleOf(choice)] };
};

/** Why a charge of 0 came about, where no rule says that it is free; null where one does. */
const freeCause = (choice: Choice): Cause | null => {
  const { working } = choice;
  const last = working.findLastIndex(({ change, step }) => change !== 0 && step !== 'not-below-zero');
  if (working.slice(Math.max(last, 0)).some(isFreeRule)) return null;
  const line = working[last];
  if (!line || line.step === 'price' || line.step === 'bounds') return freePrice(choice);
  if (line.step === 'rounding')
    return { code: 'free-by-rounding', where: [{ kind: 'store', id: 'store' }, ruleOf(choice)] };
  return line.step === 'adjustment'
    ? { code: 'free-by-adjustment', where: [adjustmentOf(line.from.id), ruleOf(choice)] }
    : freePrice(choice);
};

/** What handling came to, in minor units. */
const handlingIn = ({ working }: Choice): number =>
  working.reduce(
    (sum, { step, change }) => (step === 'handling' || step === 'store-handling' ? sum + change : sum),
    0,
  );

/** The reduction and the free rule that both touched a choice, if both did. */
const discountAndFree = (choice: Choice): Cause | null => {
  const reduced = choice.working.find(
    (line) => line.step === 'adjustment' && line.change < 0 && !isFreeRule(line),
  );
  if (!reduced || choice.charge !== 0 || !choice.working.some(isFreeRule)) return null;
  return { code: 'discount-meets-free', where: [adjustmentOf(reduced.from.id), ruleOf(choice)] };
};

/**
 * Every way in which a choice loses money: free by accident, less than its handling, reduced and free at once. Goods that
 * are free of charge, all of which `isCharged` denies, may cost less than they take to handle.
 */
export const leaksIn = (choice: Choice, isCharged: boolean): Cause[] => {
  if (choice.kind === 'nothing-to-ship') return [];
  const causes: (Cause | null)[] = [discountAndFree(choice)];
  if (choice.charge === 0) causes.push(freeCause(choice));
  else if (isCharged && choice.charge < handlingIn(choice))
    causes.push({ code: 'below-handling', where: [ruleOf(choice)] });
  return causes.filter((cause) => cause !== null);
};

/** The widest limit that an order breaks, as the reason says it: a measure and the figure. */
export const widestLimit = ({
  withheld,
}: Quote): Extract<Message, { code: 'above-limit' | 'below-limit' }> | null => {
  const limits = withheld.flatMap((one) => {
    const say = messageOf(one);
    if (say?.code === 'above-limit' || say?.code === 'below-limit') return [say];
    return say?.code === 'above-last-step'
      ? [{ code: 'above-limit' as const, measure: say.measure, value: say.value, limit: say.until }]
      : [];
  });
  const above = limits.filter(
    ({ code, measure }) => code === 'above-limit' && measure === limits[0]?.measure,
  );
  const below = limits.filter(
    ({ code, measure }) => code === 'below-limit' && measure === limits[0]?.measure,
  );
  return (
    above.sort((a, b) => b.limit - a.limit)[0] ??
    below.sort((a, b) => a.limit - b.limit)[0] ??
    limits[0] ??
    null
  );
};
