import { compile } from '../core/quote/compile.ts';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { floorOf } from './floor.ts';
import { largeBook, randomRequests } from './large-book.ts';
import { inRounds, ratioOf, ratioWords } from './rounds.ts';
import { demoRequests, quoteAll } from './subjects.ts';

/** Quotes of the demo beside the least they can cost, and of a large book beside the demo's. */
export const benchRatios = (
  expect: (name: string, reached: boolean, figure: string, target: string) => void,
): void => {
  const skus = demoCatalogue.goods.filter((good) => good.weight).map((good) => good.sku);
  const requests = randomRequests(2_200, skus);
  const demo = compile(demoBook, demoCatalogue);
  const large = compile(largeBook(200, 6, 20, 20_000), demoCatalogue);
  const own = demoRequests();
  const times = inRounds({
    floor: floorOf(demo, own),
    own: () => quoteAll(demo, own),
    demo: () => quoteAll(demo, requests),
    large: () => quoteAll(large, requests),
  });
  const floor = ratioOf(times.own, times.floor);
  expect('a quote of the demo against its floor', floor.median <= 8, ratioWords(floor), '8 times');
  const size = ratioOf(times.large, times.demo);
  expect('a quote of the large book against the demo', size.median <= 1.3, ratioWords(size), '1.3 times');
};
