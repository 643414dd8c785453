import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { demoBook } from './book.ts';
import { demoCatalogue } from './goods.ts';
import { demoOrdersFile } from './orders.ts';
import { pastOrdersOf } from './past-orders.ts';
import { demoTestOrders } from './test-orders.ts';

const folder = join(__dirname, 'data');

const write = (name: string, value: unknown): void => {
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(folder, name), `${JSON.stringify(value, null, 1)}\n`);
};

write('book.json', demoBook);
write('catalogue.json', demoCatalogue);
write('test-orders.json', demoTestOrders);
const lines = (list: readonly unknown[]): string => list.map((one) => JSON.stringify(one)).join(',\n');

/** A year of orders as the program reads them, and the newest of them as a file of orders for the command line. */
const file = demoOrdersFile();
const { rows, ...named } = file;
writeFileSync(
  join(folder, 'past-orders.json'),
  `${JSON.stringify(named, null, 1).slice(0, -2)},\n "rows": [\n${lines(rows)}\n]\n}\n`,
);
writeFileSync(join(folder, 'orders.json'), `[\n${lines(pastOrdersOf(file).slice(-600))}\n]\n`);
