import type { Choice } from '../model/quote.ts';

/** The import charges that a choice's total holds, clearance included: none but under DDP. Minor units. */
export const prepaidOf = ({ duties }: Pick<Choice, 'duties'>): number =>
  duties?.terms === 'DDP' ? duties.duty + duties.importTax + duties.clearance : 0;
