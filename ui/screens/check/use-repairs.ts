import { useEffect, useState } from 'react';
import type { Problem } from '../../../core/model/problem.ts';
import type { TriedRepair } from '../../../core/repair/tried-repairs.ts';
import { selectTestOrders } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { repairsOf } from '../../workers/start-audit.ts';

/** The repairs of a problem that work, tried beside the page while it is open; null until they are known, or while the draft is audited anew. */
export const useRepairs = (problem: Problem): readonly TriedRepair[] | null => {
  const testOrders = useAppSelector(selectTestOrders);
  const isCurrent = useAppSelector(
    ({ check: { audit }, draft: { workbook } }) =>
      audit?.book === workbook.book && audit.catalogue === workbook.catalogue,
  );
  const [found, setFound] = useState<readonly TriedRepair[] | null>(null);
  useEffect(() => {
    let isOpen = true;
    setFound(null);
    if (!isCurrent) return undefined;
    repairsOf(problem, [...testOrders]).then(
      (repairs) => {
        if (isOpen) setFound(repairs ?? []);
      },
      () => setFound([]),
    );
    return () => {
      isOpen = false;
    };
  }, [problem, testOrders, isCurrent]);
  return found;
};
