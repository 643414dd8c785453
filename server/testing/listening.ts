import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Edition } from '../../core/formats/edition.ts';
import { makeBook, makeCatalogue } from '../../core/testing/book.ts';
import { makeServer, type ServerOptions } from '../app.ts';
import { sha256 } from '../read-edition.ts';
import { ServedEdition, type EditionSource } from '../served-edition.ts';

export const makeEdition = (changes: Partial<Edition> = {}): Edition => ({
  number: 1,
  publishedAt: '2026-11-24T10:00:00Z',
  note: 'First',
  book: makeBook(),
  catalogue: makeCatalogue(),
  ...changes,
});

/** Editions of shops that lie in no folder. */
export const heldEditions = (shops: Record<string, Edition[]>): EditionSource => ({
  shops: new Map(
    Object.entries(shops).map(([shop, list]) => [
      shop,
      list.map((edition) => new ServedEdition(edition, sha256(JSON.stringify(edition)))),
    ]),
  ),
  refused: [],
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
