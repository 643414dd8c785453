import type { Book } from '../../core/model/book.ts';
import type { Workbook } from './workbook.ts';

/** What tells the demo shop's book from others. */
export const DEMO = { shop: 'Wrack & Thistle', location: 'nursery' } as const;

/** Whether a book is still the demo shop's, changed or not: its made-up orders belong to it and to no other. */
export const isDemoBook = ({ store, locations }: Book): boolean =>
  store.name === DEMO.shop && locations[0]?.id === DEMO.location;

/** The demo shop that ships with the program, read when it is first needed. */
export const loadDemoShop = async (): Promise<Workbook> => (await import('./demo-shop.ts')).demoShop();
