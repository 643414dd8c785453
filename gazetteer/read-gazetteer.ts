import type { Gazetteer } from './locate.ts';

const NONE: Gazetteer = {};

/** The gazetteers that there are, by country. */
const READERS: Readonly<Record<string, () => Promise<unknown>>> = {
  CA: async () => (await import('./ca.json')).default,
  US: async () => (await import('./us.json')).default,
};

/** Whether the postal areas of a country are known. */
export const hasGazetteer = (country: string): boolean => country in READERS;

/** The gazetteer of a country, loaded when it is first asked for; an empty one where there is none. */
export const readGazetteer = async (country: string): Promise<Gazetteer> =>
  ((await READERS[country]?.()) ?? NONE) as Gazetteer;
