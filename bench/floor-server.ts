import express from 'express';
import { readFileSync } from 'node:fs';

/** What any service has to do: parse an order and write an answer, as data at one address and as ready text at another. */
const texts = JSON.parse(readFileSync(process.env['ANSWERS'] ?? '', 'utf8')) as string[];
const answers = texts.map((text) => JSON.parse(text) as unknown);
const app = express();
const parse = express.json({ limit: '1mb' });
let at = 0;
const next = (): number => (at = (at + 1) % texts.length);
app.post('/data', parse, (_request, response) => void response.json(answers[next()]));
app.post('/text', parse, (_request, response) => void response.type('json').send(texts[next()]));
const server = app.listen(0, '127.0.0.1', () => {
  const address = server.address();
  console.log(`http://127.0.0.1:${typeof address === 'object' && address ? address.port : 0}/`);
});
