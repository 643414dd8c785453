import { join } from 'node:path';
import { readTroubles } from '../carriers/misbehaviour.ts';
import { compile } from '../core/quote/compile.ts';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { makeServer } from './app.ts';

const port = Number(process.env.PORT ?? 4310);
const host = process.env.HOST ?? '127.0.0.1';

if (!Number.isInteger(port) || port < 0 || port > 65_535) {
  console.error(`PORT must be a number from 0 to 65535, not “${process.env.PORT}”.`);
  process.exit(2);
}

const server = makeServer({
  webRoot: join(__dirname, '..', 'dist'),
  shops: new Map([['demo', compile(demoBook, demoCatalogue)]]),
  troubles: readTroubles(process.env.CARRIER_TROUBLES ?? ''),
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
