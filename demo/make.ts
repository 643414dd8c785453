import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { demoBook } from './book.ts';
import { demoCatalogue } from './goods.ts';
import { demoOrders } from './orders.ts';
import { demoTestOrders } from './test-orders.ts';

const folder = join(__dirname, 'data');

const write = (name: string, value: unknown): void => {
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(folder, name), `${JSON.stringify(value, null, 1)}\n`);
};

write('book.json', demoBook);
write('catalogue.json', demoCatalogue);
write('test-orders.json', demoTestOrders);
writeFileSync(
  join(folder, 'orders.json'),
  `[\n${demoOrders.map((order) => JSON.stringify(order)).join(',\n')}\n]\n`,
);
