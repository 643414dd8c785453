import type { FindingCode } from '../audit/finding.ts';
import {
  adjustmentGone,
  chargedAlways,
  freedBounds,
  leftOut,
  neverBoth,
  oneEntryLess,
  oneLimitLess,
  oneRowLess,
  idleStepsGone,
  switchedZone,
} from './odd-repairs.ts';
import type { Broken, Repair } from './repair.ts';
import {
  closedGaps,
  freedLimits,
  letGroup,
  servedCode,
  switchedRates,
  takenIn,
  tamedAdjustment,
} from './stop-repairs.ts';

/** What may mend a fault of each kind; kinds that have none are mended by hand. */
const BY_CODE: Partial<Record<FindingCode, (broken: Broken) => Repair[]>> = {
  'no-zone': takenIn,
  'postal-not-served': servedCode,
  'zone-without-rate': switchedRates,
  'group-not-sent': letGroup,
  'measure-gap': (broken) => [...closedGaps(broken), ...freedLimits(broken)],
  'no-choice': (broken) => [...freedLimits(broken), ...closedGaps(broken)],
  'withheld-by-adjustment': tamedAdjustment,
  'free-by-adjustment': adjustmentGone('switch-off'),
  'discount-meets-free': neverBoth,
  'always-free': chargedAlways,
  'free-out-of-reach': chargedAlways,
  'minimum-above-free': freedBounds,
  'minimum-decides': freedBounds,
  'maximum-below-first': freedBounds,
  'bounds-contradict': freedBounds,
  'limits-contradict': oneLimitLess,
  'step-never-acts': idleStepsGone,
  'row-never-acts': oneRowLess,
  'zone-off': switchedZone(true),
  'zone-never-decides': switchedZone(false),
  'zone-not-sold': switchedZone(false),
  'zones-contest': oneEntryLess,
  'entry-never-decides': oneEntryLess,
  'adjustment-never-acts': adjustmentGone('remove-adjustment'),
  'service-without-rate': leftOut,
};

/** What may mend a fault; whether it does is for `triedRepairs` to find out. */
export const repairsFor = (broken: Broken): Repair[] =>
  BY_CODE[broken.problem.code as FindingCode]?.(broken) ?? [];
