import { readJson, readTrials } from '../formats/read.ts';
import type { Result } from '../model/fault.ts';
import type { Trial } from '../model/trial.ts';

/** Trials as the text of a file: JSON, as the command line reads it. */
export const writeTrialsFile = (trials: readonly Trial[]): string => `${JSON.stringify(trials, null, 2)}\n`;

/** The trials of a file's text, or each fault with its place. */
export const readTrialsFile = (text: string): Result<Trial[]> => {
  const json = readJson(text);
  return json.ok ? readTrials(json.value) : json;
};
