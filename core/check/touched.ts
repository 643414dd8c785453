import type { Quote } from '../model/quote.ts';

/** The adjustments that touched some choice of an order: by a line of its working, or by withholding it. */
export const adjustmentsIn = ({ choices, withheld }: Quote): Set<string> => {
  const touched = new Set<string>();
  for (const { working } of choices)
    for (const { step, from } of working) if (step === 'adjustment') touched.add(from.id);
  for (const { from } of withheld) if (from.kind === 'adjustment') touched.add(from.id);
  return touched;
};

/** How many orders each adjustment touched. */
export const countTouched = (touched: Map<string, number>, quoted: Quote): void => {
  for (const id of adjustmentsIn(quoted)) touched.set(id, (touched.get(id) ?? 0) + 1);
};
