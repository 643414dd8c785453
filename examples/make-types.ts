import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import openapiTS, { astToString } from 'openapi-typescript';
import { format } from 'prettier';
import { openApiDocument } from '../server/openapi.ts';

/** The types of the service's requests and answers, made from its description; `--check` tells whether they are. */
const FILE = join(__dirname, 'service.d.ts');

const main = async (): Promise<void> => {
  const types = astToString(await openapiTS(openApiDocument('0') as never));
  const text = await format(`/** Made from the service's description by npm run client. */\n\n${types}`, {
    parser: 'typescript',
    printWidth: 110,
    singleQuote: true,
  });
  if (!process.argv.includes('--check')) writeFileSync(FILE, text);
  else if (readFileSync(FILE, 'utf8') !== text) {
    console.error('examples/service.d.ts is not what the service is: npm run client');
    process.exit(1);
  }
};

void main();
