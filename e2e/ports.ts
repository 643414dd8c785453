/** Where the browser tests find what they try. */
export const PORT = Number(process.env.E2E_PORT ?? 4311);
/** Where the example's checkout is served, which asks the server from a page of its own. */
export const EXAMPLE = `http://127.0.0.1:${PORT + 1}`;
/** Where the program is served with the gallery of parts in it. */
export const GALLERY_PORT = PORT + 2;
