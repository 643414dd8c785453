import { createSelector } from '@reduxjs/toolkit';
import type { TestOrderResult } from '../../../core/check/check-test-order.ts';
import type { TestOrder } from '../../../core/model/test-order.ts';
import { choiceNames, expectationWords, outcomeSentence } from '../../../core/check/outcome-sentence.ts';
import { locatedSentence } from '../../../core/words/fault-sentence.ts';
import { selectBook, selectDisplayFormat, selectTestOrders } from '../../state/selectors.ts';
import type { RootState } from '../../state/store.ts';

/** A test order among the others: whether it is kept, and what was expected and came where it is not. */
export interface TestOrderLine {
  testOrder: TestOrder;
  /** 'unchecked' until it has been run, 'empty' where it expects nothing. */
  state: 'kept' | 'broken' | 'empty' | 'unchecked';
  broken: string[];
  expects: string[];
}

/** A line with its place among those that it can change places with: under its heading, pinned or not as it is. */
export interface PlacedLine extends TestOrderLine {
  at: number;
  count: number;
}

/** Test orders under one heading; those without one come first, under ''. */
export interface TestOrderGroup {
  name: string;
  lines: PlacedLine[];
}

const placed = (lines: readonly TestOrderLine[]): PlacedLine[] =>
  lines.map((line, at) => ({ ...line, at, count: lines.length }));

const stateOf = (testOrder: TestOrder, result: TestOrderResult | undefined): TestOrderLine['state'] => {
  if (!result) return 'unchecked';
  if (!result.kept) return 'broken';
  return testOrder.expects.length === 0 ? 'empty' : 'kept';
};

const selectNames = createSelector([selectBook], choiceNames);

/** Each test order with how it stands, as the last run over the draft found. */
export const selectTestOrderLines = createSelector(
  [selectTestOrders, (state: RootState) => state.check.check, selectNames, selectDisplayFormat],
  (testOrders, check, names, display): TestOrderLine[] => {
    const results = new Map(check?.results.map((result) => [result.id, result]));
    return testOrders.map((testOrder) => {
      const result = results.get(testOrder.id);
      return {
        testOrder,
        state: stateOf(testOrder, result),
        broken: [
          ...(result?.faults.map(locatedSentence) ?? []),
          ...(result?.outcomes.filter(({ came }) => came !== null) ?? []).map((one) =>
            outcomeSentence(one, names, display),
          ),
        ],
        expects: testOrder.expects.map((one) => expectationWords(one, names, display)),
      };
    });
  },
);

/** The test orders under their headings: pinned ones first within each. */
export const selectTestOrderGroups = createSelector([selectTestOrderLines], (lines): TestOrderGroup[] => {
  const groups = new Map<string, TestOrderLine[]>();
  for (const line of lines) {
    const name = line.testOrder.group ?? '';
    groups.set(name, [...(groups.get(name) ?? []), line]);
  }
  return [...groups]
    .sort(([a], [b]) => Number(a !== '') - Number(b !== ''))
    .map(([name, inGroup]) => ({
      name,
      lines: [
        ...placed(inGroup.filter(({ testOrder }) => testOrder.pinned)),
        ...placed(inGroup.filter(({ testOrder }) => !testOrder.pinned)),
      ],
    }));
});

/** How many test orders there are, and how many are broken or expect nothing. */
export const selectTestOrderCounts = createSelector([selectTestOrderLines], (lines) => ({
  all: lines.length,
  broken: lines.filter(({ state }) => state === 'broken').length,
  empty: lines.filter(({ state }) => state === 'empty').length,
}));
