import express, { Router, type Request, type RequestHandler, type Response } from 'express';
import type { Asker } from '../carriers/asking.ts';
import type { Problem as BookProblem } from '../core/model/problem.ts';
import { readJson } from '../core/formats/read.ts';
import type { Language } from '../core/model/language.ts';
import { localMoment } from '../core/time/local-moment.ts';
import { asksAMinute } from './asks-a-minute.ts';
import { jsonBody } from './body.ts';
import { addWritingRoutes } from './edition-writing.ts';
import type { Editions } from './editions.ts';
import { readingKey, type Keys } from './keys.ts';
import { LineWriter } from './line-writer.ts';
import type { Metrics } from './metrics.ts';
import { answerOrder, isProblem, type QuoteAnswer } from './quote-answer.ts';
import { problemOf, refuse, sendProblem, type Problem } from './refusals.ts';
import { findEdition, type EditionSource, type ServedEdition } from './served-edition.ts';

const REQUESTS_A_MINUTE = 60_000;
const MOST_LINES = 1_000;
export const NDJSON = 'application/x-ndjson';

/** What the routes of editions work with. */
export interface EditionService {
  editions: EditionSource;
  /** The folder of the editions, where they lie in one: editions can be put into it. */
  folder?: Editions;
  asker: Asker;
  keys: Keys;
  metrics: Metrics;
  /** Looks for the problems of an edition, judged from a day on (YYYY-MM-DD). */
  problemsOf: (edition: ServedEdition, on: string) => Promise<BookProblem[]>;
  now: () => Date;
}

/** An edition in the language that suits the request best. */
interface Asked {
  edition: ServedEdition;
  language: Language;
  shop: string;
}

/** The edition that a request names, or the live one; where there is none, the answer says so. */
const askedOf = (editions: EditionSource, request: Request, response: Response): Asked | null => {
  const named = request.query['edition'];
  const number = typeof named === 'string' && /^\d{1,7}$/.test(named) ? Number(named) : null;
  const shop = String(request.params['shop']);
  const edition = named === undefined || number !== null ? findEdition(editions, shop, number) : null;
  if (!edition) {
    refuse(response, editions.shops.has(shop) ? 'unknown-edition' : 'unknown-shop');
    return null;
  }
  const [own = 'en'] = edition.languages;
  const language = request.acceptsLanguages([...edition.languages]) || own;
  response.vary('Accept-Language').set({
    'Content-Language': language,
    'Emporos-Edition': String(edition.number),
    'Emporos-Digest': edition.digest,
  });
  return { edition, language: language as Language, shop };
};

/** The shops with their editions, the last of which is live. */
const listOf = ({ shops, refused }: EditionSource) => ({
  shops: [...shops].map(([shop, list]) => ({
    shop,
    live: list.at(-1)?.number,
    editions: list.map(({ digest, languages, edition: { number, publishedAt, note } }) => ({
      ...{ number, digest, languages, publishedAt, note },
    })),
  })),
  refused,
});

/** Sends JSON without what Express looks for in each answer: other types, ranges, and answers that the reader has. */
const sendJson = (response: Response, text: string): void => {
  response.setHeader('Content-Type', 'application/json; charset=utf-8');
  response.setHeader('Content-Length', Buffer.byteLength(text));
  response.end(text);
};

/** What one order is answered; it is counted, and how long it took. */
const counted = async (
  { asker, metrics }: EditionService,
  { edition, language, shop }: Asked,
  value: unknown,
): Promise<QuoteAnswer | Problem> => {
  const from = performance.now();
  const answer = await answerOrder(edition, value, language, asker);
  metrics.quoted(shop, isProblem(answer) ? null : answer, performance.now() - from);
  return answer;
};

/** Answers each line in turn, and writes each as soon as it is there and the reader has room for it. */
const answerLines = async (
  service: EditionService,
  asked: Asked,
  text: string,
  response: Response,
): Promise<void> => {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  if (lines.length > MOST_LINES) return refuse(response, 'too-many-lines', String(MOST_LINES));
  // What compresses would hold the lines back.
  response.type(NDJSON).set('Cache-Control', 'no-transform');
  const lineWriter = new LineWriter(response);
  for (const line of lines) {
    if (response.destroyed) return;
    const json = readJson(line);
    const answer = json.ok ? await counted(service, asked, json.value) : problemOf('not-json');
    if (!lineWriter.write(JSON.stringify(answer))) await lineWriter.hasRoom();
  }
  lineWriter.end();
};

/** The times of day that an order can choose from, with how many are left of each. */
const slotsOf = ({ choices, edition, language }: QuoteAnswer) => ({
  edition,
  language,
  choices: choices.flatMap(({ id, kind, name, slots }) => (slots ? [{ id, kind, name, slots }] : [])),
});

const lines = express.text({ limit: '20mb', type: NDJSON });
/** Reads a body of many orders, a line each, as text; any other as one order. */
const oneOrLines: RequestHandler = (request, response, next) =>
  (request.is(NDJSON) ? lines : jsonBody)(request, response, next);

const addQuoteRoutes = (routes: Router, service: EditionService): void => {
  const { editions } = service;
  routes.post('/:shop/quotes', oneOrLines, async (request, response) => {
    const asked = askedOf(editions, request, response);
    if (!asked) return;
    if (typeof request.body === 'string') return answerLines(service, asked, request.body, response);
    if (request.body === undefined) return refuse(response, 'not-said-to-be-json');
    const answer = await counted(service, asked, request.body);
    if (isProblem(answer)) sendProblem(response, answer);
    else sendJson(response, JSON.stringify(answer));
  });
  routes.post('/:shop/slots', jsonBody, async (request, response) => {
    const asked = askedOf(editions, request, response);
    if (!asked) return;
    if (request.body === undefined) return refuse(response, 'not-said-to-be-json');
    const answer = await answerOrder(asked.edition, request.body, asked.language, service.asker);
    if (isProblem(answer)) sendProblem(response, answer);
    else response.json(slotsOf(answer));
  });
  routes.get('/:shop/problems', async (request, response) => {
    const asked = askedOf(editions, request, response);
    if (!asked) return;
    const { timeZone } = asked.edition.edition.book.store;
    const on = localMoment(service.now().toISOString(), timeZone).date;
    response.json({ on, problems: await service.problemsOf(asked.edition, on) });
  });
};

/** Quotes from editions: which there are, orders quoted by the live one or by number, and editions put and taken back. */
export const editionRoutes = (service: EditionService): Router => {
  const { editions, keys, folder } = service;
  const routes = Router();
  if (folder) addWritingRoutes(routes, folder, keys);
  routes.use(readingKey(keys), asksAMinute(REQUESTS_A_MINUTE));
  addQuoteRoutes(routes, service);
  routes.get('/', (_request, response) => {
    response.json(listOf(editions));
  });
  return routes;
};
