import { build } from 'esbuild';
import express from 'express';
import { join } from 'node:path';

/** Serves the example's checkout: `npm run example`, beside `ORIGINS=http://127.0.0.1:4320 npm run serve`. */
const port = Number(process.env['PORT'] ?? 4320);

const main = async (): Promise<void> => {
  const { outputFiles } = await build({
    entryPoints: [join(__dirname, 'checkout.ts')],
    bundle: true,
    format: 'esm',
    write: false,
  });
  const script = outputFiles[0]?.text ?? '';
  const app = express();
  app.get('/', (_request, response) => response.sendFile(join(__dirname, 'checkout.html')));
  app.get('/checkout.js', (_request, response) => void response.type('js').send(script));
  app.listen(port, '127.0.0.1', () => console.log(`The checkout is at http://127.0.0.1:${port}`));
};

void main();
