import { compile } from '../core/quote/compile.ts';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { demoRequests, quoteAll } from './subjects.ts';

/** Quotes of the demo for some seconds, to be profiled. */
const SECONDS = 8;

const compiled = compile(demoBook, demoCatalogue);
const requests = demoRequests();
const end = performance.now() + SECONDS * 1_000;
let rounds = 0;
while (performance.now() < end) {
  quoteAll(compiled, requests);
  rounds += 1;
}
console.log(`${rounds * requests.length} quotes in ${SECONDS} s`);
