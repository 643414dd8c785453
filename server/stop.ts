import type { Server } from 'node:http';
import { Server as NetServer } from 'node:net';

const LONGEST_MS = 10_000;
/** A connection that waits for its next request is left open for so long: one may be on its way. */
const LINGER_MS = 1_000;

/**
 * Stops taking connections and lets what is under way finish. Each answer from now on closes its connection, and a
 * connection that is open and waits may bring one more request: closed at once, it would lose one that is on its way.
 * What is still open after `longestMs` is closed. Resolves when all are closed.
 */
export const stop = (server: Server, longestMs = LONGEST_MS): Promise<void> =>
  new Promise((resolve) => {
    server.prependListener('request', (_request, response) => response.setHeader('Connection', 'close'));
    const idle = setTimeout(() => server.closeIdleConnections(), Math.min(LINGER_MS, longestMs));
    const all = setTimeout(() => server.closeAllConnections(), longestMs);
    // An HTTP server's own `close` would close the connections that wait.
    NetServer.prototype.close.call(server, () => {
      clearTimeout(idle);
      clearTimeout(all);
      resolve();
    });
  });
