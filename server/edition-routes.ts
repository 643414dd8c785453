import express, { Router, type Request, type Response } from 'express';
import type { Asker } from '../carriers/asking.ts';
import { parseWith } from '../core/model/schema-fault.ts';
import { quoteRequestSchema } from '../core/model/request.ts';
import type { Quote } from '../core/model/quote.ts';
import { readJson } from '../core/formats/read.ts';
import { requestFaults } from '../core/quote/quote.ts';
import { asksAMinute } from './asks-a-minute.ts';
import { jsonBody } from './body.ts';
import type { Editions, ServedEdition } from './editions.ts';
import { answerOrder, quoteWithCarriers, said } from './quote-routes.ts';
import { refusalBody, refuse, type RefusalCode } from './refusals.ts';

const REQUESTS_A_MINUTE = 60_000;
const MOST_LINES = 1_000;
const NDJSON = 'application/x-ndjson';

/** The edition that a request names, or the live one; where there is none, the answer says so. */
const editionOf = (editions: Editions, request: Request, response: Response): ServedEdition | null => {
  const asked = request.query.edition;
  const number = typeof asked === 'string' && /^\d{1,7}$/.test(asked) ? Number(asked) : null;
  const shop = String(request.params.shop);
  const found = asked === undefined || number !== null ? editions.find(shop, number) : null;
  if (!found) refuse(response, editions.shops.has(shop) ? 'unknown-edition' : 'unknown-shop');
  else response.set({ 'Emporos-Edition': String(found.number), 'Emporos-Digest': found.digest });
  return found;
};

type Answer = Quote | { code: RefusalCode; error: string };

/** What one line asks, answered; a line that is wrong is answered with what is wrong with it. */
const answerTo = async (line: string, { compiled }: ServedEdition, asker: Asker): Promise<Answer> => {
  const json = readJson(line);
  if (!json.ok) return refusalBody('not-json');
  const asked = parseWith(quoteRequestSchema, json.value);
  const faults = asked.ok ? requestFaults(compiled, asked.value) : asked.faults;
  if (!asked.ok || faults.length > 0) return refusalBody('invalid', said(faults));
  return quoteWithCarriers(compiled, asked.value, asker);
};

/** Answers each line in turn, and writes each as soon as it is there. */
const answerLines = async (
  edition: ServedEdition,
  text: string,
  response: Response,
  asker: Asker,
): Promise<void> => {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  if (lines.length > MOST_LINES) return refuse(response, 'too-many-lines', String(MOST_LINES));
  response.type(NDJSON);
  for (const line of lines) response.write(`${JSON.stringify(await answerTo(line, edition, asker))}\n`);
  response.end();
};

/** Quotes from the editions in a folder: which there are, and orders quoted by the live one or by number. */
export const editionRoutes = (editions: Editions, asker: Asker): Router => {
  const routes = Router();
  routes.use(asksAMinute(REQUESTS_A_MINUTE));
  routes.get('/', (_request, response) => {
    response.json({
      shops: [...editions.shops].map(([shop, list]) => ({
        shop,
        live: list.at(-1)?.number,
        editions: list.map(({ number, digest, publishedAt, note }) => ({
          number,
          digest,
          publishedAt,
          note,
        })),
      })),
      refused: editions.refused,
    });
  });
  routes.post(
    '/:shop/quotes',
    express.text({ limit: '20mb', type: NDJSON }),
    jsonBody,
    async (request, response) => {
      const edition = editionOf(editions, request, response);
      if (!edition) return;
      if (typeof request.body === 'string') return answerLines(edition, request.body, response, asker);
      await answerOrder(edition.compiled, request, response, asker);
    },
  );
  return routes;
};
