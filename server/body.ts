import express, { type Request, type Response } from 'express';
import type { z } from 'zod';
import { parseWith } from '../core/model/schema-fault.ts';
import { locatedSentence } from '../core/words/fault-sentence.ts';

/** JSON of at most a megabyte. */
export const jsonBody = express.json({ limit: '1mb' });

/** Says that a body has to be sent as JSON. */
export const unsaid = (response: Response): void =>
  void response.status(415).json({ error: 'send JSON, and say so: content-type: application/json' });

/** A request's body as a schema has it; where it is not, the answer says what is wrong with it, and nothing is given. */
export const parsedBody = <T>(schema: z.ZodType<T>, request: Request, response: Response): T | null => {
  if (request.body === undefined) {
    unsaid(response);
    return null;
  }
  const parsed = parseWith(schema, request.body);
  if (parsed.ok) return parsed.value;
  response.status(400).json({ error: parsed.faults.map(locatedSentence).join(' ') });
  return null;
};
