import { marked } from '../translate/translate.ts';
import type { Good } from '../model/good.ts';

/** What the fields of a product are called. */
export const FIELD_NAMES = {
  sku: marked('Stock number'),
  name: marked('Name'),
  price: marked('Price'),
  fulfilment: marked('Fulfilment'),
  weight: marked('Weight'),
  size: marked('Size, three sides'),
  groupIds: marked('Handling groups'),
  chargeFree: marked('Ships free'),
  shippingPrice: marked('Own shipping price'),
  onceFee: marked('Extra fee per order line'),
  packsAlone: marked('Packs alone'),
  keepUpright: marked('Keep upright'),
  hsCode: marked('HS code'),
  madeIn: marked('Made in'),
} satisfies Partial<Record<keyof Good, string>>;
