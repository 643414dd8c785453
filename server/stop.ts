import type { Server } from 'node:http';

const LONGEST_MS = 10_000;

/**
 * Stops taking connections, lets what is under way finish, and closes what then still is open after ten seconds.
 * Resolves when all are closed.
 */
export const stop = (server: Server, longestMs = LONGEST_MS): Promise<void> =>
  new Promise((resolve) => {
    const timer = setTimeout(() => server.closeAllConnections(), longestMs);
    server.close(() => {
      clearTimeout(timer);
      resolve();
    });
    server.closeIdleConnections();
  });
