import { join } from 'node:path';
import { makeServer } from '../server/app.ts';

/** Serves the program with the gallery of parts in it, for its test. */
makeServer({ webRoot: join(__dirname, '..', 'export', 'gallery') }).listen(
  Number(process.env['PORT']),
  '127.0.0.1',
);
