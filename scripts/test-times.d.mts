export interface TestTime {
  name: string;
  ms: number;
}
export const BUDGETS: { unit: number; browser: number };
export const processorSeconds: () => number;
export const unitTimes: (report: unknown) => TestTime[];
export const browserTimes: (report: unknown) => TestTime[];
export const slowestLines: (times: readonly TestTime[]) => string[];
export const withinBudget: (
  kind: keyof typeof BUDGETS,
  tests: number,
  seconds: number,
) => { isWithin: boolean; words: string };
