import type { Problem } from '../core/model/problem.ts';
import { beside } from './beside.ts';
import type { ServedEdition } from './served-edition.ts';

const LONGEST_MS = 120_000;

/** The problems of editions, each looked for once a day and beside the requests. */
export const problemsBeside = (): ((edition: ServedEdition, on: string) => Promise<Problem[]>) => {
  const known = new WeakMap<ServedEdition, { on: string; problems: Promise<Problem[]> }>();
  return (edition, on) => {
    const before = known.get(edition);
    if (before?.on === on) return before.problems;
    const { book, catalogue } = edition.edition;
    const problems = beside<Problem[]>('audit-edition', { book, catalogue, on }, LONGEST_MS);
    known.set(edition, { on, problems });
    problems.catch(() => known.delete(edition));
    return problems;
  };
};
