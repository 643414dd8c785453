import book from '../../demo/data/book.json';
import catalogue from '../../demo/data/catalogue.json';
import testOrders from '../../demo/data/test-orders.json';
import { readBook, readCatalogue, readTestOrders } from '../../core/formats/read.ts';
import type { Result } from '../../core/model/fault.ts';
import type { Workbook } from './workbook.ts';

const sound = <T>(result: Result<T>): T => {
  if (!result.ok)
    throw new Error(`the demo shop is not sound: ${result.faults.map((fault) => fault.path).join(', ')}`);
  return result.value;
};

/** The demo shop that ships with the program. */
export const demoShop = (): Workbook => ({
  book: sound(readBook(book)),
  catalogue: sound(readCatalogue(catalogue)),
  testOrders: sound(readTestOrders(testOrders)),
});
