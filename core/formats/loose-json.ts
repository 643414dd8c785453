import { jsonrepair } from 'jsonrepair';
import type { Fault } from '../model/fault.ts';
import { readJson } from './read.ts';

/** What could be read of a text, and what was wrong with it as JSON; null where it was sound. */
export interface LooseJson {
  value: unknown;
  broken: Fault | null;
}

/** The value of a JSON text, or of what is left of one that broke off or was edited by hand. */
export const looseJson = (text: string): LooseJson => {
  const strict = readJson(text);
  if (strict.ok) return { value: strict.value, broken: null };
  const [broken = null] = strict.faults;
  try {
    return { value: JSON.parse(jsonrepair(text)) as unknown, broken };
  } catch {
    return { value: null, broken };
  }
};
