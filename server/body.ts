import express, { type NextFunction, type Request, type Response } from 'express';
import type { z } from 'zod';
import { parseWith } from '../core/model/schema-fault.ts';
import { locatedSentence } from '../core/words/fault-sentence.ts';

/** JSON of at most a megabyte. */
export const jsonBody = express.json({ limit: '1mb' });

/** A request's body as a schema has it; where it is not, the answer says what is wrong with it, and nothing is given. */
export const parsedBody = <T>(schema: z.ZodType<T>, request: Request, response: Response): T | null => {
  const parsed = parseWith(schema, request.body);
  if (parsed.ok) return parsed.value;
  response.status(400).json({ error: parsed.faults.map(locatedSentence).join(' ') });
  return null;
};

/** A body that is too large or no JSON is answered in a sentence, without what was sent. */
export const readable = (
  error: { status?: number; type?: string },
  _request: Request,
  response: Response,
  _next: NextFunction,
): void => {
  const status = error.status ?? 500;
  const text =
    error.type === 'entity.too.large'
      ? 'the request is larger than a megabyte'
      : status < 500
        ? 'the request is no JSON'
        : 'the request could not be answered';
  response.status(status).json({ error: text });
};
