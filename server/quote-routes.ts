import { Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import type { Asker } from '../carriers/asking.ts';
import { readBook, readCatalogue } from '../core/formats/read.ts';
import type { Fault } from '../core/model/fault.ts';
import { quoteRequestSchema, type QuoteRequest } from '../core/model/request.ts';
import { compile, type CompiledBook } from '../core/quote/compile.ts';
import { carrierQuestions } from '../core/quote/questions.ts';
import { quote, requestFaults } from '../core/quote/quote.ts';
import type { Quote } from '../core/model/quote.ts';
import { locatedSentence } from '../core/words/fault-sentence.ts';
import express from 'express';
import { jsonBody, parsedBody, readable } from './body.ts';

const REQUESTS_A_MINUTE = 60_000;
const MOST_SHOPS = 8;

const said = (faults: readonly Fault[]): string => faults.map(locatedSentence).join(' ');

/** A shop out of what was sent, or what is wrong with it. */
const readShop = (body: unknown): CompiledBook | string => {
  const { book: rawBook, catalogue: rawCatalogue } = (body ?? {}) as Record<string, unknown>;
  const book = readBook(rawBook);
  if (!book.ok) return said(book.faults);
  const catalogue = readCatalogue(rawCatalogue, book.value);
  return catalogue.ok ? compile(book.value, catalogue.value) : said(catalogue.faults);
};

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

/**
 * Quotes over HTTP: a shop is put under a name, held in memory and validated whole, then asked. `shops` holds
 * those there are at the start.
 */
export const quoteRoutes = (asker: Asker, shops: ReadonlyMap<string, CompiledBook>): Router => {
  const held = new Map(shops);
  const routes = Router();
  routes.use(
    rateLimit({ windowMs: 60_000, limit: REQUESTS_A_MINUTE, standardHeaders: true, legacyHeaders: false }),
  );
  routes.put('/:shop', express.json({ limit: '20mb' }), (request, response) => {
    const name = request.params.shop;
    if (!held.has(name) && held.size >= MOST_SHOPS) {
      response.status(409).json({ error: `no more than ${MOST_SHOPS} shops are held at a time` });
      return;
    }
    const shop = readShop(request.body);
    if (typeof shop === 'string') {
      response.status(400).json({ error: shop });
      return;
    }
    held.set(name, shop);
    response.status(204).end();
  });
  routes.post('/:shop/quotes', jsonBody, async (request, response) => {
    const shop = held.get(String(request.params.shop));
    if (!shop) {
      response.status(404).json({ error: 'there is no such shop' });
      return;
    }
    const asked = parsedBody(quoteRequestSchema, request, response);
    if (!asked) return;
    const faults = requestFaults(shop, asked);
    if (faults.length > 0) response.status(400).json({ error: said(faults) });
    else response.json(await quoteWithCarriers(shop, asked, asker));
  });
  routes.use(readable);
  return routes;
};
