import { iso31662 } from 'iso-3166';

const NAMES: ReadonlyMap<string, string> = new Map(iso31662.map(({ code, name }) => [code, name]));

/** What a region is called, by its code of ISO 3166-2; the code itself where it is none. */
export const regionName = (code: string): string => NAMES.get(code) ?? code;
