/** The pages of the guide, which ship with the program as CommonMark, in the order in which they are read. */
export const GUIDE_PAGES = [
  { id: 'start', title: 'Getting started' },
  { id: 'reach', title: 'Reach' },
  { id: 'charges', title: 'Charges' },
  { id: 'products', title: 'Products' },
  { id: 'check', title: 'Check' },
  { id: 'customers', title: 'Customers' },
] as const;

export type GuidePage = (typeof GUIDE_PAGES)[number]['id'];

export const isGuidePage = (id: string | undefined): id is GuidePage =>
  GUIDE_PAGES.some((page) => page.id === id);
