import express from 'express';
import { readFileSync } from 'node:fs';

/** What any service has to do: parse an order, and write an answer that is ready. */
const answers = JSON.parse(readFileSync(process.env['ANSWERS'] ?? '', 'utf8')) as string[];
const app = express();
let at = 0;
app.post('/', express.json({ limit: '1mb' }), (_request, response) => {
  at = (at + 1) % answers.length;
  response.type('json').send(answers[at]);
});
const server = app.listen(0, '127.0.0.1', () => {
  const address = server.address();
  console.log(`http://127.0.0.1:${typeof address === 'object' && address ? address.port : 0}/`);
});
