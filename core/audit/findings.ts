import type { Finding, RuleRef } from './finding.ts';

/** An adjustment that leaks is one finding, whatever it does to which rates; the others are told by their rules. */
const keyOf = ({ code, where }: Pick<Finding, 'code' | 'where'>): string => {
  const [{ kind, id }] = where;
  if (kind === 'adjustment') return `${kind}:${id}`;
  const told = kind === 'store' ? where.slice(0, 1) : where;
  return `${code}|${told.map((rule) => `${rule.kind}:${rule.id}`).join('|')}`;
};

/** Whether a finding says worse of an adjustment than one that is known: that it takes a charge down to nothing. */
const isWorse = (one: Finding, known: Finding): boolean =>
  one.code !== known.code && one.code === 'free-by-adjustment';

const isSame = (a: RuleRef, b: RuleRef): boolean => a.kind === b.kind && a.id === b.id;
/** So many rules are named for one finding. */
const MOST_RULES = 12;

/** Findings by cause; the first that is found stands, for the plainest orders are judged first. */
export class Findings {
  readonly #found = new Map<string, Finding>();

  add(finding: Finding): void {
    const key = keyOf(finding);
    const known = this.#found.get(key);
    if (!known) {
      this.#found.set(key, finding);
      return;
    }
    if (isWorse(finding, known)) {
      this.#found.set(key, finding);
      return;
    }
    if (finding.code !== known.code) return;
    const more = finding.where.filter((rule) => !known.where.some((one) => isSame(one, rule)));
    if (more.length > 0 && known.where.length < MOST_RULES)
      this.#found.set(key, { ...known, where: [...known.where, ...more] });
  }

  get all(): Finding[] {
    return [...this.#found.values()];
  }
}
