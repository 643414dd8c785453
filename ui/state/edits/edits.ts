import type { Workbook } from '../workbook.ts';
import { rateEdits } from './rate-edits.ts';
import { reachEdits } from './reach-edits.ts';
import { serviceEdits } from './service-edits.ts';
import { trialEdits } from './trial-edits.ts';
import { zoneEdits } from './zone-edits.ts';

const shopEdits = {
  /** Another shop in place of this one: its book, its goods and its trials. */
  replaceShop: (workbook: Workbook, { book, catalogue, trials }: Workbook): void => {
    Object.assign(workbook, { book, catalogue, trials });
  },
};

/** Every change that can be made to the workbook, and so undone. */
export const EDITS = {
  ...rateEdits,
  ...zoneEdits,
  ...serviceEdits,
  ...trialEdits,
  ...reachEdits,
  ...shopEdits,
};

export type EditName = keyof typeof EDITS;
export type EditPayload<N extends EditName> = Parameters<(typeof EDITS)[N]>[1];
