import { createRequire } from 'node:module';
import { inRounds, isLoss, ratioOf, ratioWords } from './rounds.ts';
import type * as Subjects from './subjects.ts';

/** Compares two bundles of `subjects.ts`, this tree's and another commit's, in turns in one process. */
const load = createRequire(__filename);
const [now = '', then = ''] = process.argv.slice(2);
const mine = (load(now) as typeof Subjects).subjects();
const theirs = (load(then) as typeof Subjects).subjects();

let losses = 0;
for (const [name, work] of Object.entries(mine)) {
  const other = theirs[name];
  if (!other) continue;
  const times = inRounds({ mine: work, theirs: other });
  const ratio = ratioOf(times.mine, times.theirs);
  if (isLoss(ratio)) losses += 1;
  console.log(`${name.padEnd(36)} ${ratioWords(ratio).padStart(28)}  ${isLoss(ratio) ? 'SLOWER' : ''}`);
}
if (losses > 0) process.exitCode = 1;
