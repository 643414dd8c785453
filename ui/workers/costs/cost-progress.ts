/** How far a long piece of work is: so many of so many orders. */
export interface CostProgress {
  done: number;
  of: number;
}
export type OnCostProgress = (progress: CostProgress) => void;

/** Milliseconds of work between two breaths. */
export const STINT_MS = 30;

/** Lets what else the worker was sent come in between. */
export const breath = (): Promise<void> => new Promise((done) => void setTimeout(done));
