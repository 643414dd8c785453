import compression from 'compression';
import cors from 'cors';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { join } from 'node:path';
import { askingWith, type CarrierSecrets } from './carrier-secrets.ts';
import type { SharedAnswers } from '../carriers/asking.ts';
import { askerHere } from '../carriers/ask-here.ts';
import { Troubles, type Misbehaviour } from '../carriers/misbehaviour.ts';
import { apiPage } from './api-page.ts';
import { carrierRoutes } from './carrier-routes.ts';
import { problemsBeside } from './edition-problems.ts';
import { Editions } from './editions.ts';
import { editionRoutes, type EditionService } from './edition-routes.ts';
import { notFound, refuseErrors } from './errors.ts';
import { knownHosts } from './hosts.ts';
import { readingKey, type Keys } from './keys.ts';
import { LastHour } from './last-hour.ts';
import { lastHourPage } from './last-hour-page.ts';
import { Metrics } from './metrics.ts';
import { openApiDocument } from './openapi.ts';
import { placeRoutes } from './place-routes.ts';
import { isRefusalCode, problemOf, refuse, REFUSALS } from './refusals.ts';
import { noteRequests, type RequestLine } from './request-log.ts';
import type { EditionSource } from './served-edition.ts';
import { Visits } from './visits.ts';

export interface ServerOptions {
  /** The folder of the exported web app. */
  webRoot: string;
  /** What is quoted from: a folder of editions, which can be put there, or some that are held. */
  editions?: EditionSource;
  keys?: Keys;
  /** The origins of the pages that may ask from a browser. */
  origins?: readonly string[];
  /** The secrets of carriers' accounts, by the account's id. */
  secrets?: CarrierSecrets;
  /** Where carriers' answers are shared with other processes. */
  shared?: SharedAnswers;
  /** What carriers get wrong from the start. */
  troubles?: readonly Misbehaviour[];
  now?: () => Date;
  /** Names that this machine goes by, besides its addresses. */
  hosts?: readonly string[];
  /** How the problems of an edition are looked for. */
  problemsOf?: EditionService['problemsOf'];
  /** Whether the server takes nothing new. */
  isStopping?: () => boolean;
  /** What is counted of quotes; `metricsOfAll` gives the figures of every process, where there are several. */
  metrics?: Metrics;
  metricsOfAll?: () => Promise<string>;
  /** What was counted in the last hour, read now and then by who runs the server. */
  lastHour?: LastHour;
  /** Takes note of each request to the service. */
  note?: (line: RequestLine) => void;
  /** Takes errors that are not the request's own fault. */
  log?: (error: unknown) => void;
  version?: string;
}

const YEAR_MS = 31_536_000_000;
const NO_EDITIONS: EditionSource = { shops: new Map(), refused: [] };
const ONLY_HERE: Keys = { read: [], write: [], isHere: true };

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

/** What data needs: it is no page, and is read as what it says it is. */
const securityOfData = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: { defaultSrc: ["'none'"], frameAncestors: ["'none'"] },
  },
  crossOriginOpenerPolicy: false,
  originAgentCluster: false,
  referrerPolicy: false,
  strictTransportSecurity: false,
  xDnsPrefetchControl: false,
  xDownloadOptions: false,
  xFrameOptions: false,
  xPermittedCrossDomainPolicies: false,
  xPoweredBy: false,
  xXssProtection: false,
});

const compress = compression();
/** Compresses answers to those who can read that. */
const compressed: RequestHandler = (request, response, next) =>
  request.headers['accept-encoding'] === undefined ? next() : compress(request, response, next);

/** Some steps one after the other, without comparing the address before each of them. */
const throughAll =
  (...steps: RequestHandler[]): RequestHandler =>
  (request, response, next) => {
    const through = (at: number): void => {
      const step = steps[at];
      if (!step) return next();
      void step(request, response, (error?: unknown) =>
        error === undefined ? through(at + 1) : next(error),
      );
    };
    through(0);
  };

const EXPOSED = ['Emporos-Edition', 'Emporos-Digest', 'RateLimit', 'RateLimit-Policy', 'Retry-After'];

/** Lets pages of some origins ask from a browser, and no others; without any, nothing is said of origins. */
const allowOrigins = (origins: readonly string[]): RequestHandler[] =>
  origins.length === 0 ? [] : [cors({ origin: [...origins], exposedHeaders: EXPOSED, maxAge: 600 })];

/** Whether it runs, and whether it should be asked. */
const addHealthRoutes = (app: Express, editions: EditionSource, isStopping: () => boolean): void => {
  app.get('/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.get('/ready', (_request, response) => {
    if (isStopping() || editions.shops.size === 0) refuse(response, 'not-ready');
    else response.json({ ok: true, shops: [...editions.shops.keys()] });
  });
};

/** What the service says of itself: its description, a page to try it on, and how it refuses. */
const addDescription = (app: Express, version: string): void => {
  const document = openApiDocument(version);
  app.get('/openapi.json', (_request, response) => void response.json(document));
  app.use('/api', apiPage());
  app.get('/api/problems', (_request, response) => {
    response.json(Object.entries(REFUSALS).map(([code, { status, title }]) => ({ code, status, title })));
  });
  app.get('/api/problems/:code', (request, response) => {
    const { code } = request.params;
    if (isRefusalCode(code)) response.json(problemOf(code));
    else notFound(request, response);
  });
};

/** What was counted: for Prometheus, and the last hour drawn. */
const addMetrics = (
  app: Express,
  {
    keys,
    metricsOfAll,
    lastHour,
    now,
  }: Required<Pick<ServerOptions, 'keys' | 'metricsOfAll' | 'lastHour' | 'now'>>,
): void => {
  app.get('/metrics', readingKey(keys), async (_request, response) => {
    response.type('text/plain').send(await metricsOfAll());
  });
  app.get('/metrics/last-hour', readingKey(keys), async (_request, response) => {
    lastHour.take(await metricsOfAll(), now().getTime());
    response.type('html').send(lastHourPage(lastHour));
  });
};

const addWebApp = (app: Express, webRoot: string): void => {
  app.use(
    '/_expo/static',
    express.static(join(webRoot, '_expo/static'), { immutable: true, maxAge: YEAR_MS, fallthrough: false }),
  );
  // The pages of the program's places stand beside index.html, with their frame in them.
  app.use(express.static(webRoot, { maxAge: 0, extensions: ['html'], index: ['today.html', 'index.html'] }));
  app.get('/{*path}', (request, response, next) => {
    if (!request.accepts('html')) notFound(request, response);
    else
      response.sendFile(join(webRoot, 'index.html'), { maxAge: 0 }, (error?: Error) => error && next(error));
  });
};

/** The server as a function of requests; it does not listen, so that tests can run it in-process. */
export const makeServer = ({
  webRoot,
  editions = NO_EDITIONS,
  keys = ONLY_HERE,
  origins = [],
  secrets = new Map(),
  shared,
  troubles: first = [],
  now = () => new Date(),
  hosts = [],
  problemsOf = problemsBeside(),
  isStopping = () => false,
  metrics = new Metrics(editions),
  metricsOfAll = () => metrics.registry.metrics(),
  lastHour = new LastHour(),
  note = () => undefined,
  log = console.error,
  version = '0',
}: ServerOptions): Express => {
  const troubles = new Troubles();
  troubles.set(first);
  const asker = metrics.counting(askingWith(askerHere(troubles, shared), secrets));
  const app = express();
  // Answers are of one order each: a digest of one would be worked out for nothing. Files have theirs.
  app.disable('x-powered-by').disable('etag');
  const folder = editions instanceof Editions ? { folder: editions } : {};
  // First, for it is asked most: every route before it would be compared with each request.
  app.use(
    '/api/editions',
    throughAll(
      ...[securityOfData, knownHosts(hosts), compressed, noteRequests(note), ...allowOrigins(origins)],
      editionRoutes({ editions, ...folder, asker, keys, metrics, problemsOf, now }),
      notFound,
    ),
  );
  app.use(security, knownHosts(hosts), compressed);
  app.use('/api', noteRequests(note));
  app.use(['/api/places', '/openapi.json'], throughAll(...allowOrigins(origins)));
  app.use('/api/carriers', carrierRoutes(new Visits(troubles), now));
  app.use('/api/places', placeRoutes());
  addDescription(app, version);
  addHealthRoutes(app, editions, isStopping);
  addMetrics(app, { keys, metricsOfAll, lastHour, now });
  app.use('/api', notFound);
  addWebApp(app, webRoot);
  app.use(notFound);
  app.use(refuseErrors(log));
  return app;
};
