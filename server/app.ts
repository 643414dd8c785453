import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { join } from 'node:path';
import { askerHere } from '../carriers/ask-here.ts';
import { Troubles, type Misbehaviour } from '../carriers/misbehaviour.ts';
import type { CompiledBook } from '../core/quote/compile.ts';
import { carrierRoutes } from './carrier-routes.ts';
import type { Editions } from './editions.ts';
import { editionRoutes } from './edition-routes.ts';
import { notFound, refuseErrors } from './errors.ts';
import { knownHosts } from './hosts.ts';
import { placeRoutes } from './place-routes.ts';
import { quoteRoutes } from './quote-routes.ts';
import { readShop } from './read-shop.ts';
import type { ShopReader } from './shop-reader.ts';
import { Visits } from './visits.ts';

export interface ServerOptions {
  /** The folder of the exported web app. */
  webRoot: string;
  /** Shops that can be quoted from the start, by name. */
  shops?: ReadonlyMap<string, CompiledBook>;
  /** Editions out of files, where the server has a folder of them. */
  editions?: Editions;
  /** What carriers get wrong from the start. */
  troubles?: readonly Misbehaviour[];
  now?: () => Date;
  /** Names that this machine goes by, besides its addresses. */
  hosts?: readonly string[];
  /** How shops that are sent are read. */
  readShop?: ShopReader;
  /** Takes errors that are not the request's own fault. */
  log?: (error: unknown) => void;
}

const YEAR_MS = 31_536_000_000;

/** What the exported app needs: its own files, and styles that its libraries write into the page. */
const security = helmet({
  contentSecurityPolicy: {
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      fontSrc: ["'self'"],
      connectSrc: ["'self'"],
      workerSrc: ["'self'", 'blob:'],
      objectSrc: ["'none'"],
      frameAncestors: ["'none'"],
      upgradeInsecureRequests: null,
    },
  },
  strictTransportSecurity: false,
});

/** The server as a function of requests; it does not listen, so that tests can run it in-process. */
export const makeServer = ({
  webRoot,
  shops = new Map(),
  editions,
  troubles: first = [],
  now = () => new Date(),
  hosts = [],
  readShop: reader = readShop,
  log = console.error,
}: ServerOptions): Express => {
  const troubles = new Troubles();
  troubles.set(first);
  const app = express();
  app.disable('x-powered-by');
  app.use(security, knownHosts(hosts), compression());
  app.get('/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use('/api/carriers', carrierRoutes(new Visits(troubles), now));
  app.use('/api/places', placeRoutes());
  app.use('/api/shops', quoteRoutes(askerHere(troubles), shops, reader));
  if (editions) app.use('/api/editions', editionRoutes(editions, askerHere(troubles)));
  app.use('/api', notFound);
  app.use(
    '/_expo/static',
    express.static(join(webRoot, '_expo/static'), { immutable: true, maxAge: YEAR_MS, fallthrough: false }),
  );
  app.use(express.static(webRoot, { maxAge: 0 }));
  app.get('/{*path}', (request, response, next) => {
    if (!request.accepts('html')) notFound(request, response);
    else
      response.sendFile(join(webRoot, 'index.html'), { maxAge: 0 }, (error?: Error) => error && next(error));
  });
  app.use(notFound);
  app.use(refuseErrors(log));
  return app;
};
