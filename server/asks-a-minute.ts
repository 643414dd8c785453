import { rateLimit, type RateLimitRequestHandler } from 'express-rate-limit';
import { refusalBody } from './refusals.ts';

/** Lets each visitor ask so many times a minute; more are refused in a sentence that names the limit. */
export const asksAMinute = (limit: number): RateLimitRequestHandler =>
  rateLimit({
    windowMs: 60_000,
    limit,
    standardHeaders: true,
    legacyHeaders: false,
    message: refusalBody('too-often', String(limit)),
  });
