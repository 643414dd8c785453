import type { Good } from '../model/good.ts';

/** What the fields of a product are called. */
export const FIELD_NAMES = {
  sku: 'Stock number',
  name: 'Name',
  price: 'Price',
  fulfilment: 'Fulfilment',
  weight: 'Weight',
  size: 'Size, three sides',
  groupIds: 'Handling groups',
  chargeFree: 'Ships free',
  shippingPrice: 'Own shipping price',
  onceFee: 'Extra fee per order line',
  packsAlone: 'Packs alone',
  keepUpright: 'Keep upright',
  hsCode: 'HS code',
  madeIn: 'Made in',
} satisfies Partial<Record<keyof Good, string>>;
