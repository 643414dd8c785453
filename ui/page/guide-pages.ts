import { t } from '../../core/translate/translate.ts';
/** The pages of the guide, which ship with the program as CommonMark, in the order in which they are read. */
export const GUIDE_PAGES = [
  { id: 'start', title: t('Getting started') },
  { id: 'reach', title: t('Reach') },
  { id: 'charges', title: t('Charges') },
  { id: 'products', title: t('Products') },
  { id: 'check', title: t('Check') },
  { id: 'customers', title: t('Customers') },
] as const;

export type GuidePage = (typeof GUIDE_PAGES)[number]['id'];

export const isGuidePage = (id: string | undefined): id is GuidePage =>
  GUIDE_PAGES.some((page) => page.id === id);
