import { join } from 'node:path';
import { readTroubles } from '../carriers/misbehaviour.ts';
import { compile } from '../core/quote/compile.ts';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { makeServer } from './app.ts';
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

const server = makeServer({
  webRoot: join(__dirname, '..', 'dist'),
  shops: new Map([['demo', compile(demoBook, demoCatalogue)]]),
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
  process.once(signal, () => void stop(server).then(() => process.exit(0)));
