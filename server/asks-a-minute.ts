import { ipKeyGenerator, rateLimit, type RateLimitRequestHandler } from 'express-rate-limit';
import { askedBy } from './keys.ts';
import { refuse } from './refusals.ts';

/**
 * Lets each key that is known, or where there is none each address, ask so many times a minute; more are refused in a
 * sentence that names the limit.
 */
export const asksAMinute = (limit: number): RateLimitRequestHandler =>
  rateLimit({
    windowMs: 60_000,
    limit,
    // RateLimit and RateLimit-Policy, as pages of other origins may read them.
    standardHeaders: 'draft-7',
    legacyHeaders: false,
    validate: false,
    keyGenerator: (request, response) => askedBy(response) ?? ipKeyGenerator(request.ip ?? ''),
    handler: (_request, response) => refuse(response, 'too-often', String(limit)),
  });
