import express, { type Request, type Response, type Router } from 'express';
import { asksAMinute } from './asks-a-minute.ts';
import type { Editions } from './editions.ts';
import { writingKey, type Keys } from './keys.ts';
import { refuse } from './refusals.ts';
import { findEdition } from './served-edition.ts';

const WRITES_A_MINUTE = 60;
const LARGEST = '50mb';

interface EditionPath {
  shop: string;
  number: number;
}

const pathOf = ({ params }: Request): EditionPath => ({
  shop: String(params['shop']),
  number: Number(params['number']),
});

const nameOf = ({ shop, number }: EditionPath): string => `${shop}.edition-${number}.json`;

/** Editions put over HTTP, and gone back from: both need a key for writing, and end as files of the folder. */
export const addWritingRoutes = (routes: Router, editions: Editions, keys: Keys): void => {
  const path = '/:shop/:number';
  const guards = [writingKey(keys), asksAMinute(WRITES_A_MINUTE)];

  routes.put(
    path,
    guards,
    express.text({ limit: LARGEST, type: 'application/json' }),
    async (request: Request, response: Response) => {
      if (typeof request.body !== 'string') return refuse(response, 'not-said-to-be-json');
      const name = nameOf(pathOf(request));
      const read = await editions.examine(name, request.body);
      if (!read.ok) return refuse(response, 'edition-refused', read.reasons.join(' '));
      const there = findEdition(editions, read.shop, read.edition.number);
      if (there && there.digest !== read.digest) return refuse(response, 'edition-there');
      if (!there) await editions.put(name, request.body, read);
      response
        .status(there ? 200 : 201)
        .json({ shop: read.shop, number: read.edition.number, digest: read.digest });
    },
  );
  routes.delete(path, guards, async (request: Request, response: Response) => {
    const { shop, number } = pathOf(request);
    const list = editions.shops.get(shop) ?? [];
    if (!list.some((one) => one.number === number))
      return refuse(response, list.length > 0 ? 'unknown-edition' : 'unknown-shop');
    if (list.length === 1) return refuse(response, 'last-edition');
    await editions.takeBack(nameOf({ shop, number }));
    response.json({ shop, live: findEdition(editions, shop, null)?.number });
  });
};
