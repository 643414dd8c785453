import { Router } from 'express';
import { z } from 'zod';
import { countrySchema } from '../core/model/place.ts';
import { locate } from '../gazetteer/locate.ts';
import { readGazetteer } from '../gazetteer/read-gazetteer.ts';
import { asksAMinute } from './asks-a-minute.ts';
import { refuse } from './refusals.ts';

const REQUESTS_A_MINUTE = 6_000;
const askedSchema = z.object({ country: countrySchema, code: z.string().min(1).max(20) });

/** Where a postal code lies, out of the open gazetteer: `GET /:country/:code`. */
export const placeRoutes = (): Router => {
  const router = Router();
  router.use(asksAMinute(REQUESTS_A_MINUTE));
  router.get('/:country/:code', async (request, response) => {
    const asked = askedSchema.safeParse({
      country: request.params.country.toUpperCase(),
      code: request.params.code,
    });
    if (!asked.success) {
      refuse(response, 'place-not-written');
      return;
    }
    const { country, code } = asked.data;
    const found = locate(await readGazetteer(country), { country, postalCode: code });
    if (found) response.json(found);
    else refuse(response, 'unknown-place', `${code} in ${country}`);
  });
  return router;
};
