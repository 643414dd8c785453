import type { NextFunction, Request, Response } from 'express';

/** What is noted of a request: neither who asked, nor what for, nor with which key. */
export interface RequestLine {
  method: string;
  /** The route as it is written, without what stands in it. */
  route: string;
  shop?: string;
  status: number;
  ms: number;
}

/** Notes each request once it is answered or was broken off. */
export const noteRequests =
  (note: (line: RequestLine) => void) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const from = performance.now();
    response.once('close', () => {
      const { path = '' } = (request.route ?? {}) as { path?: string };
      const shop = request.params['shop'];
      note({
        method: request.method,
        route: request.baseUrl + path,
        ...(typeof shop === 'string' ? { shop } : {}),
        status: response.writableFinished ? response.statusCode : 499,
        ms: Math.round((performance.now() - from) * 10) / 10,
      });
    });
    next();
  };
