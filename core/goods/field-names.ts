import { t } from '../translate/translate.ts';
import type { Good } from '../model/good.ts';

/** What the fields of a product are called. */
export const FIELD_NAMES = {
  sku: t('Stock number'),
  name: t('Name'),
  price: t('Price'),
  fulfilment: t('Fulfilment'),
  weight: t('Weight'),
  size: t('Size, three sides'),
  groupIds: t('Handling groups'),
  chargeFree: t('Ships free'),
  shippingPrice: t('Own shipping price'),
  onceFee: t('Extra fee per order line'),
  packsAlone: t('Packs alone'),
  keepUpright: t('Keep upright'),
  hsCode: t('HS code'),
  madeIn: t('Made in'),
} satisfies Partial<Record<keyof Good, string>>;
