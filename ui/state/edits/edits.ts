import { acceptEdits } from './accept-edits.ts';
import { adjustmentEdits } from './adjustment-edits.ts';
import { boxEdits } from './box-edits.ts';
import { carrierEdits } from './carrier-edits.ts';
import { dutyEdits } from './duty-edits.ts';
import { goodEdits } from './good-edits.ts';
import { groupEdits } from './group-edits.ts';
import { languageEdits } from './language-edits.ts';
import { locationEdits } from './location-edits.ts';
import { rateEdits } from './rate-edits.ts';
import { paymentEdits } from './payment-edits.ts';
import { nearbyEdits } from './nearby-edits.ts';
import { postalEdits } from './postal-edits.ts';
import { repairEdits } from './repair-edits.ts';
import { reachEdits } from './reach-edits.ts';
import { serviceEdits } from './service-edits.ts';
import { storeEdits } from './store-edits.ts';
import { tableEdits } from './table-edits.ts';
import { taxEdits } from './tax-edits.ts';
import { testOrderEdits } from './test-order-edits.ts';
import { zoneEdits } from './zone-edits.ts';

/** Every change that can be made to the workbook, and so undone. */
export const EDITS = {
  ...rateEdits,
  ...zoneEdits,
  ...serviceEdits,
  ...testOrderEdits,
  ...reachEdits,
  ...storeEdits,
  ...goodEdits,
  ...groupEdits,
  ...languageEdits,
  ...locationEdits,
  ...taxEdits,
  ...adjustmentEdits,
  ...tableEdits,
  ...postalEdits,
  ...paymentEdits,
  ...acceptEdits,
  ...boxEdits,
  ...carrierEdits,
  ...dutyEdits,
  ...nearbyEdits,
  ...repairEdits,
};

export type EditName = keyof typeof EDITS;
export type EditPayload<N extends EditName> = Parameters<(typeof EDITS)[N]>[1];
