import createClient from 'openapi-fetch';
import type { components, paths } from './service.d.ts';

type Schemas = components['schemas'];
export type Order = Schemas['Order'];
export type QuoteAnswer = Schemas['QuoteAnswer'];
export type SlotsAnswer = Schemas['SlotsAnswer'];

/** What the service refused, with the code that may be relied on. */
export class QuoteRefused extends Error {
  readonly code: string;

  constructor({ code, detail }: Schemas['Problem']) {
    super(detail);
    this.code = code;
  }
}

export interface ClientOptions {
  /** Where the service is, as https://quotes.example. */
  origin: string;
  /** The shop, as its editions are named. */
  shop: string;
  /** A key for reading, where the service needs one; never in a page that customers see. */
  key?: string;
  /** The customer's language, as fr. */
  language?: string;
}

export interface QuoteClient {
  /** What getting an order there costs, by the live edition or another; throws `QuoteRefused`. */
  quote: (order: Order, edition?: number) => Promise<QuoteAnswer>;
  /** The times that an order can choose from; throws `QuoteRefused`. */
  slots: (order: Order, edition?: number) => Promise<SlotsAnswer>;
}

const sound = <T>({ data, error }: { data?: T; error?: Schemas['Problem'] }): T => {
  if (error) throw new QuoteRefused(error);
  if (data === undefined) throw new Error('the service answered nothing');
  return data;
};

/** Asks a quote service for one shop. */
export const quoteClient = ({ origin, shop, key, language }: ClientOptions): QuoteClient => {
  const client = createClient<paths, 'application/json' | 'application/problem+json'>({
    baseUrl: origin,
    headers: {
      ...(key === undefined ? {} : { authorization: `Bearer ${key}` }),
      ...(language === undefined ? {} : { 'accept-language': language }),
    },
  });
  const asked = (edition: number | undefined) => ({ path: { shop }, query: { edition } });
  return {
    quote: async (body, edition) =>
      sound(await client.POST('/api/editions/{shop}/quotes', { params: asked(edition), body })),
    slots: async (body, edition) =>
      sound(await client.POST('/api/editions/{shop}/slots', { params: asked(edition), body })),
  };
};
