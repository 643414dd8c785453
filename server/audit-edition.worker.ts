import { parentPort, workerData } from 'node:worker_threads';
import { answersAtOnce } from '../carriers/stand-ins.ts';
import { audit } from '../core/audit/audit.ts';
import type { Book } from '../core/model/book.ts';
import type { Catalogue } from '../core/model/good.ts';
import { compile } from '../core/quote/compile.ts';
import { makeParts } from '../core/quote/compiled-parts.ts';
import { regionName } from '../core/words/region-name.ts';

const { book, catalogue, on } = workerData as { book: Book; catalogue: Catalogue; on: string };
parentPort?.postMessage(audit(compile(book, catalogue, answersAtOnce, makeParts({ regionName })), on));
