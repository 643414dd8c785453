import { Router } from 'express';
import { dirname, join } from 'node:path';

const FOLDER = dirname(require.resolve('swagger-ui-dist/package.json'));
const FILES = ['swagger-ui.css', 'swagger-ui-bundle.js'];

const PAGE = `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Emporos quote service</title>
<link rel="stylesheet" href="/api/page/swagger-ui.css">
<link rel="icon" href="data:,">
</head>
<body>
<main id="page"></main>
<script src="/api/page/swagger-ui-bundle.js"></script>
<script src="/api/page/open.js"></script>
</body>
</html>
`;

const OPEN = `SwaggerUIBundle({ url: '/openapi.json', dom_id: '#page', validatorUrl: null, tryItOutEnabled: true });\n`;

/** The page on which the service's requests are read about and tried. */
export const apiPage = (): Router => {
  const page = Router();
  page.get('/', (_request, response) => void response.type('html').send(PAGE));
  page.get('/page/open.js', (_request, response) => void response.type('js').send(OPEN));
  for (const file of FILES)
    page.get(`/page/${file}`, (_request, response) => response.sendFile(join(FOLDER, file)));
  return page;
};
