import type { RuleRef } from '../audit/finding.ts';
import type { Problem } from '../model/problem.ts';
import type { LimitMeasure } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { ruleName } from '../audit/problem-sentence.ts';
import type { Change } from './change.ts';

/** A way to mend what the audit found, as changes to the shop; `core/words/repair-words.ts` has the words. */
export interface Repair {
  code: RepairCode;
  /** What it changes, by name. */
  a: string;
  /** What else its words name: zones, an entry, a measure. */
  b?: string;
  changes: Change[];
}

export const REPAIR_CODES = [
  'switch-off',
  'switch-on',
  'spare-zones',
  'let-group',
  'no-limit',
  'no-limits',
  'no-minimum',
  'no-end',
  'from-zero',
  'serve-code',
  'add-country',
  'stop-selling',
  'never-free',
  'no-least',
  'no-greatest',
  'remove-step',
  'remove-row',
  'remove-entry',
  'remove-adjustment',
  'leave-out',
] as const;
export type RepairCode = (typeof REPAIR_CODES)[number];

/** What one value mends: what it is called, how it is read, and what giving it changes. */
export interface AskedValue {
  code: AskedCode;
  a: string;
  b?: string;
  /** How the value is read: money in minor units, grams, millimetres, units. */
  reads: 'money' | 'size' | LimitMeasure;
  /** The value as it is now, where there is one. */
  now?: number;
  give: (value: unknown) => Change[];
}

export const ASKED_CODES = [
  'weight',
  'size',
  'price',
  'new-rate',
  'limit-above',
  'limit-below',
  'minimum',
  'fallback',
  'otherwise',
  'free-from',
] as const;
export type AskedCode = (typeof ASKED_CODES)[number];

/** What a repair is looked for in. */
export interface Broken {
  problem: Problem;
  compiled: CompiledBook;
}

/** The ids of the rules of a kind that a problem names; a part after the colon is left off. */
export const namedBy = ({ where }: Problem, kind: string): string[] =>
  where.filter((rule) => rule.kind === kind).map(({ id }) => id.split(':')[0] ?? id);

/** The part of a rule that a problem names: a step's start, a row's number. */
export const partOf = ({ where: [cause] }: Problem): string => cause?.id.split(':')[1] ?? '';

/** An entry of a list by its id. */
export const byId = <T extends { id: string }>(list: readonly T[], id: string | undefined): T | undefined =>
  list.find((one) => one.id === id);

/** The rate that a problem names first; undefined where it names none. */
export const rateOf = ({ problem, compiled: { book } }: Broken): Rate | undefined =>
  byId(book.rates, namedBy(problem, 'rate')[0]);

/** The change that puts a rate in the place of what it was, or adds it. */
export const rateTo = (entry: Rate): Change => ({ list: 'rates', at: entry.id, entry });

/** What the rule that a problem blames is called. */
export const causeName = ({ problem: { where }, compiled: { book, goods } }: Broken): string =>
  where[0] ? ruleName(where[0] as RuleRef, book, goods) : '';
