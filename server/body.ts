import express, { type Request, type Response } from 'express';
import type { z } from 'zod';
import { parseWith } from '../core/model/schema-fault.ts';
import { locatedSentence } from '../core/words/fault-sentence.ts';
import { refuse } from './refusals.ts';

/** JSON of at most a megabyte. */
export const jsonBody = express.json({ limit: '1mb' });

/** A request's body as a schema has it; where it is not, the answer says what is wrong with it, and nothing is given. */
export const parsedBody = <T>(schema: z.ZodType<T>, request: Request, response: Response): T | null => {
  if (request.body === undefined) {
    refuse(response, 'not-said-to-be-json');
    return null;
  }
  const parsed = parseWith(schema, request.body);
  if (parsed.ok) return parsed.value;
  refuse(response, 'invalid', parsed.faults.map(locatedSentence).join(' '));
  return null;
};
