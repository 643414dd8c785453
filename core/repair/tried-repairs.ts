import { problemKey } from '../model/accepted.ts';
import { audit } from '../audit/audit.ts';
import { hasChoice } from '../audit/refused.ts';
import type { AuditMemory } from '../audit/memory.ts';
import type { Problem } from '../model/problem.ts';
import type { TestOrder } from '../model/test-order.ts';
import { testOrderChanges, type TestOrderChange } from '../publish/test-order-changes.ts';
import { compile, type CompiledBook } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import { withChanges, type Shop } from './change.ts';
import type { Repair } from './repair.ts';
import { repairsFor } from './repairs.ts';

/** A repair that was found to work, and what it changes besides. */
export interface TriedRepair {
  repair: Repair;
  /** The test orders that pay or are offered something else. */
  testOrders: TestOrderChange[];
  /** The other faults that go with it. */
  alsoGone: number;
}

/** So many repairs are offered for one fault. */
const MOST_OFFERED = 3;

/** What repairs are tried on. */
export interface TriedShop extends Shop {
  compiled: CompiledBook;
  /** What the audit of it found. */
  problems: readonly Problem[];
  testOrders: readonly TestOrder[];
  on: string;
  memory: AuditMemory;
}

/** Whether a fault came with a repair: money is lost anew, or an order is stopped that had a choice before. */
const isNew = ({ compiled, problems }: TriedShop, one: Problem): boolean => {
  if (problems.some((known) => problemKey(known) === problemKey(one))) return false;
  if (one.gravity === 'stops') return one.example !== undefined && hasChoice(compiled, one.example);
  return one.gravity === 'leaks';
};

/** Whether an order that shows a fault is stopped still, for another reason, though the shop sells there. */
const isMoved = (compiled: CompiledBook, { gravity, example }: Problem): boolean =>
  gravity === 'stops' &&
  example !== undefined &&
  !hasChoice(compiled, example) &&
  quote(compiled, example).withheld.every(({ code }) => code !== 'not-sold-there');

const tried = (shop: TriedShop, problem: Problem, repair: Repair): TriedRepair | null => {
  const { book, catalogue } = withChanges(shop, repair.changes);
  const compiled = compile(book, catalogue, shop.compiled.ask, shop.compiled.parts);
  const left = audit(compiled, shop.on, shop.memory.fork());
  const keys = new Set(left.map(problemKey));
  if (keys.has(problemKey(problem)) || isMoved(compiled, problem)) return null;
  if (left.some((one) => isNew(shop, one))) return null;
  const gone = shop.problems.filter((one) => !keys.has(problemKey(one))).length;
  return {
    repair,
    testOrders: testOrderChanges(shop.compiled, compiled, shop.testOrders),
    alsoGone: gone - 1,
  };
};

/**
 * Tries what may mend a fault, one after the other, and yields each that works, null for one that does not: audited again
 * with it, the fault is gone and nothing new stops orders or loses money. It ends when three are found.
 */
export function* triedRepairs(shop: TriedShop, problem: Problem): Generator<TriedRepair | null> {
  let found = 0;
  for (const repair of repairsFor({ problem, compiled: shop.compiled })) {
    const works = tried(shop, problem, repair);
    yield works;
    if (works) found += 1;
    if (found === MOST_OFFERED) return;
  }
}
