import { rateLimit, type RateLimitRequestHandler } from 'express-rate-limit';

/** Lets each visitor ask so many times a minute; more are refused in a sentence that names the limit. */
export const asksAMinute = (limit: number): RateLimitRequestHandler =>
  rateLimit({
    windowMs: 60_000,
    limit,
    standardHeaders: true,
    legacyHeaders: false,
    message: { error: `more than ${limit} requests in a minute; try again in a moment` },
  });
