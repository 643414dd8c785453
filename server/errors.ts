import type { NextFunction, Request, Response } from 'express';

/** What Express and its readers of bodies say of a request that they refuse. */
interface Refused {
  status?: number;
  type?: string;
  limit?: number;
}

const MEGABYTE = 1_048_576;

const TEXTS: Record<string, string> = {
  'entity.parse.failed': 'the request is no JSON',
  'request.aborted': 'the request was broken off',
  'charset.unsupported': 'the request is in a character set that is not read; send UTF-8',
  'encoding.unsupported': 'the request is compressed in a way that is not read',
};

const textOf = ({ status = 500, type = '', limit = 0 }: Refused): string => {
  if (type === 'entity.too.large') return `the request is larger than ${limit / MEGABYTE} MB`;
  if (status === 404) return 'not found';
  return TEXTS[type] ?? (status < 500 ? 'the request cannot be read' : 'the request could not be answered');
};

/** Answers with JSON that there is nothing at a path. */
export const notFound = (_request: Request, response: Response): void => {
  response.status(404).json({ error: 'not found' });
};

/**
 * Any error as a status and a sentence: never a trace, a path of this machine, or what was sent. What is not the
 * request's own fault is handed to `log`.
 */
export const told =
  (log: (error: unknown) => void) =>
  (error: Refused, _request: Request, response: Response, next: NextFunction): void => {
    const { status = 500 } = error;
    if (status >= 500) log(error);
    if (response.headersSent) return next(error);
    response.status(status).json({ error: textOf(error) });
  };
