import express, { Router, type Request, type Response } from 'express';
import type { Asker } from '../carriers/asking.ts';
import type { Fault } from '../core/model/fault.ts';
import { quoteRequestSchema, type QuoteRequest } from '../core/model/request.ts';
import { compile, type CompiledBook } from '../core/quote/compile.ts';
import { carrierQuestions } from '../core/quote/questions.ts';
import { quote, requestFaults } from '../core/quote/quote.ts';
import type { Quote } from '../core/model/quote.ts';
import { locatedSentence } from '../core/words/fault-sentence.ts';
import { asksAMinute } from './asks-a-minute.ts';
import { jsonBody, parsedBody } from './body.ts';
import { refuse } from './refusals.ts';
import type { ShopReader } from './shop-reader.ts';

const REQUESTS_A_MINUTE = 60_000;
const MOST_SHOPS = 8;

export const said = (faults: readonly Fault[]): string => faults.map(locatedSentence).join(' ');

const tooMany = (response: Response): void => refuse(response, 'too-many-shops', String(MOST_SHOPS));

/** A quote with the carriers asked first, each within its account's time. */
export const quoteWithCarriers = async (
  shop: CompiledBook,
  request: QuoteRequest,
  asker: Asker,
): Promise<Quote> => {
  const asked = carrierQuestions(shop, request).map((question) => ({
    question,
    timeoutMs: shop.accounts.get(question.key)?.account.timeoutMs ?? 0,
  }));
  return quote(shop, request, asked.length === 0 ? [] : await asker.ask(asked));
};

/** Answers a request that holds one order: its quote, or what is wrong with it. */
export const answerOrder = async (
  shop: CompiledBook,
  request: Request,
  response: Response,
  asker: Asker,
): Promise<void> => {
  const asked = parsedBody(quoteRequestSchema, request, response);
  if (!asked) return;
  const faults = requestFaults(shop, asked);
  if (faults.length > 0) refuse(response, 'invalid', said(faults));
  else response.json(await quoteWithCarriers(shop, asked, asker));
};

/**
 * Quotes over HTTP: a shop is put under a name, held in memory and validated whole, then asked. `shops` holds
 * those there are at the start; `read` reads those that are sent.
 */
export const quoteRoutes = (
  asker: Asker,
  shops: ReadonlyMap<string, CompiledBook>,
  read: ShopReader,
): Router => {
  const held = new Map(shops);
  const routes = Router();
  routes.use(asksAMinute(REQUESTS_A_MINUTE));
  routes.put(
    '/:shop',
    express.text({ limit: '20mb', type: 'application/json' }),
    async (request, response) => {
      const name = String(request.params.shop);
      const isFull = (): boolean => !held.has(name) && held.size >= MOST_SHOPS;
      if (isFull()) return tooMany(response);
      if (typeof request.body !== 'string') return refuse(response, 'not-said-to-be-json');
      const shop = await read(request.body);
      if (!shop.ok) return refuse(response, shop.code, shop.detail);
      if (isFull()) return tooMany(response);
      held.set(name, compile(shop.book, shop.catalogue));
      response.status(204).end();
    },
  );
  routes.post('/:shop/quotes', jsonBody, async (request, response) => {
    const shop = held.get(String(request.params.shop));
    if (!shop) {
      refuse(response, 'unknown-shop');
      return;
    }
    await answerOrder(shop, request, response, asker);
  });
  return routes;
};
