import { seeded } from '../core/seeded.ts';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { demoOrdersFile } from '../demo/orders.ts';
import { pastOrdersOf } from '../demo/past-orders.ts';
import { demoTestOrders } from '../demo/test-orders.ts';
import { CASES, type Outcome, type Seeds } from './cases.ts';
import { drawFrom, type Draw } from './odd.ts';
import { smallShops } from './small-shops.ts';

/**
 * Tries every reader with data that went wrong in some way, and quotes and audits what was taken:
 * `npm run fuzz -- <cases> <seed>`. A case that throws, takes more than a second each time it is tried, gives an amount
 * that is no whole number, or is not read again as it was written is shown with the seed that makes it again alone.
 */
const LONGEST_MS = 1_000;
/** A machine that others use may slow down one try, not several. */
const MOST_TRIES = 4;
const MOST_SHOWN = 20;

const count = Number(process.argv[2] ?? 2_000);
const first = Number(process.argv[3] ?? 1);
if (!Number.isInteger(count) || count < 1 || !Number.isInteger(first)) {
  console.error('Write how many cases, and the seed of the first: npm run fuzz -- 2000 1');
  process.exit(2);
}

const seeds: Seeds = {
  demo: { book: demoBook, catalogue: demoCatalogue, testOrders: demoTestOrders },
  orders: pastOrdersOf(demoOrdersFile(600)),
  small: smallShops,
};

const drawn = (draw: Draw): (typeof CASES)[number] => {
  let left = draw.number() * CASES.reduce((sum, [, share]) => sum + share, 0);
  return CASES.find(([, share]) => (left -= share) < 0) ?? (CASES[0] as (typeof CASES)[number]);
};

/** The processor's own time: others on the machine do not count. */
const cpuMs = (): number => process.cpuUsage().user / 1_000;

const attempt = (run: (typeof CASES)[number][2], draw: Draw): Outcome => {
  try {
    return run(seeds, draw);
  } catch (error) {
    return {
      taken: false,
      wrongs: [error instanceof Error ? (error.stack ?? error.message) : String(error)],
    };
  }
};

interface Tried {
  name: string;
  ms: number;
  outcome: Outcome;
}

const tryOnce = (seed: number): Tried => {
  const draw = drawFrom(seeded(seed));
  const [name, , run] = drawn(draw);
  const from = cpuMs();
  const outcome = attempt(run, draw);
  return { name, ms: cpuMs() - from, outcome };
};

/** A case, tried again while it is too slow; the quickest try counts. */
const tryCase = (seed: number): Tried => {
  let quickest = tryOnce(seed);
  for (let tries = 1; quickest.ms > LONGEST_MS && tries < MOST_TRIES; tries += 1) {
    const again = tryOnce(seed);
    if (again.ms < quickest.ms) quickest = again;
  }
  return quickest;
};

const tally = new Map<string, { tried: number; taken: number; slowest: number }>();
let wrong = 0;
for (let seed = first; seed < first + count; seed += 1) {
  const { name, ms, outcome } = tryCase(seed);
  const { taken, wrongs } = outcome;
  if (ms > LONGEST_MS) wrongs.push(`it took ${ms.toFixed(0)} ms`);
  const known = tally.get(name) ?? { tried: 0, taken: 0, slowest: 0 };
  tally.set(name, {
    tried: known.tried + 1,
    taken: known.taken + Number(taken),
    slowest: Math.max(known.slowest, ms),
  });
  if (wrongs.length === 0) continue;
  wrong += 1;
  if (wrong <= MOST_SHOWN) console.error(`seed ${seed}, ${name}: ${wrongs.slice(0, 3).join(' · ')}`);
}

for (const [name, { tried, taken, slowest }] of tally)
  console.log(`${name.padEnd(22)} ${tried} tried, ${taken} taken, slowest ${slowest.toFixed(0)} ms`);
console.log(`${count} cases from seed ${first}: ${wrong === 0 ? 'nothing wrong' : `${wrong} wrong`}`);
process.exitCode = wrong === 0 ? 0 : 1;
