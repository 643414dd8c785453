import { join } from 'node:path';
import { readTroubles } from '../carriers/misbehaviour.ts';
import { compile } from '../core/quote/compile.ts';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { makeServer } from './app.ts';
import { Editions } from './editions.ts';
import { readShopBeside } from './shop-reader.ts';
import { stop } from './stop.ts';

const port = Number(process.env.PORT ?? 4310);
const host = process.env.HOST ?? '127.0.0.1';
const names = (process.env.HOSTS ?? '')
  .toLowerCase()
  .split(/[\s,]+/)
  .filter(Boolean);

if (!Number.isInteger(port) || port < 0 || port > 65_535) {
  console.error(`PORT must be a number from 0 to 65535, not “${process.env.PORT}”.`);
  process.exit(2);
}

if (host.trim() === '') {
  console.error(
    'HOST is empty: the server would be open to every network. Leave it out, or write an address.',
  );
  process.exit(2);
}

/** The editions of the folder that EDITIONS names, read and watched; undefined where it names none. */
const openEditions = async (): Promise<Editions | undefined> => {
  const folder = process.env.EDITIONS ?? '';
  if (folder.trim() === '') return undefined;
  const editions = new Editions(folder, ({ file, reasons }) =>
    console.error(`${file} is not served: ${reasons.join(' ')}`),
  );
  try {
    await editions.read();
  } catch {
    console.error(`EDITIONS must be a folder that can be read, not “${folder}”.`);
    process.exit(2);
  }
  editions.watch();
  return editions;
};

const start = (editions: Editions | undefined): void => {
  const server = makeServer({
    webRoot: join(__dirname, '..', 'dist'),
    shops: new Map([['demo', compile(demoBook, demoCatalogue)]]),
    ...(editions ? { editions } : {}),
    troubles: readTroubles(process.env.CARRIER_TROUBLES ?? ''),
    hosts: [host.toLowerCase(), ...names],
    readShop: readShopBeside,
  }).listen(port, host, (error?: Error) => {
    if (error) return;
    const address = server.address();
    const taken = typeof address === 'object' && address ? address.port : port;
    console.log(`Emporos is at http://${host}:${taken}`);
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    console.error(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is taken by another program. Choose another, as: PORT=${port + 1} npm start`
        : `The server could not start: ${error.message}`,
    );
    process.exit(1);
  });
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () => {
      editions?.close();
      void stop(server).then(() => process.exit(0));
    });
};

void openEditions().then(start);
