import type { NextFunction, Request, Response } from 'express';
import { refuse, type RefusalCode } from './refusals.ts';

/** What Express and its readers of bodies say of a request that they refuse. */
interface Refused {
  status?: number;
  type?: string;
  limit?: number;
}

const MEGABYTE = 1_048_576;

const BY_TYPE: Record<string, RefusalCode> = {
  'entity.parse.failed': 'not-json',
  'entity.too.large': 'too-large',
  'request.aborted': 'broken-off',
  'charset.unsupported': 'character-set',
  'encoding.unsupported': 'compression',
};

const BY_STATUS: Record<number, RefusalCode> = {
  403: 'forbidden',
  404: 'not-found',
  412: 'not-as-expected',
  416: 'no-such-range',
};

const codeOf = ({ status = 500, type = '' }: Refused): RefusalCode => {
  if (status >= 500) return 'failed';
  return BY_TYPE[type] ?? BY_STATUS[status] ?? 'unreadable';
};

/** Answers with JSON that there is nothing at a path. */
export const notFound = (_request: Request, response: Response): void => refuse(response, 'not-found');

/**
 * Any error as a refusal: never a trace, a path of this machine, or what was sent. What is not the request's own fault
 * is handed to `log`.
 */
export const refuseErrors =
  (log: (error: unknown) => void) =>
  (error: Refused, _request: Request, response: Response, next: NextFunction): void => {
    const code = codeOf(error);
    if (code === 'failed') log(error);
    if (response.headersSent) return next(error);
    refuse(response, code, code === 'too-large' ? `${(error.limit ?? 0) / MEGABYTE} MB` : '');
  };
