import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Edition } from '../../core/formats/edition.ts';
import { makeBook, makeCatalogue } from '../../core/testing/book.ts';
import { makeServer, type ServerOptions } from '../app.ts';

export const makeEdition = (changes: Partial<Edition> = {}): Edition => ({
  number: 1,
  publishedAt: '2026-11-24T10:00:00Z',
  note: 'First',
  book: makeBook(),
  catalogue: makeCatalogue(),
  ...changes,
});

export interface Listening {
  server: Server;
  origin: string;
}

/** A server in this process, at a port of its own. */
export const listen = async (options: ServerOptions): Promise<Listening> => {
  const server = makeServer(options).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  return { server, origin: `http://127.0.0.1:${(server.address() as AddressInfo).port}` };
};
