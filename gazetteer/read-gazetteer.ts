import type { Gazetteer } from './locate.ts';

const NONE: Gazetteer = {};

/** The gazetteer of a country, loaded when it is first asked for; an empty one where there is none. */
export const readGazetteer = async (country: string): Promise<Gazetteer> => {
  if (country === 'CA') return (await import('./ca.json')).default as unknown as Gazetteer;
  if (country === 'US') return (await import('./us.json')).default as unknown as Gazetteer;
  return NONE;
};
