import { useEffect, useState } from 'react';
import type { Destination } from '../../core/model/place.ts';
import { withSubdivision } from '../../core/place/subdivision-of-code.ts';
import { allLocated, locate, type Gazetteer, type Located } from '../../gazetteer/locate.ts';
import { readGazetteer } from '../../gazetteer/read-gazetteer.ts';

/** The gazetteers that were read in this visit. */
const known = new Map<string, Gazetteer>();
const listed = new Map<string, Located[]>();

/** The gazetteer of a country, read when it is first needed. */
export const loadGazetteer = async (country: string): Promise<Gazetteer> => {
  const found = known.get(country) ?? (await readGazetteer(country));
  known.set(country, found);
  return found;
};

/** The gazetteer of a country once it is read; null until then. */
export const useGazetteer = (country: string): Gazetteer | null => {
  const [gazetteer, setGazetteer] = useState(known.get(country) ?? null);
  useEffect(() => {
    let wanted = true;
    void loadGazetteer(country).then((found) => {
      if (wanted) setGazetteer(found);
    });
    return () => {
      wanted = false;
    };
  }, [country]);
  return gazetteer;
};

const NONE: Located[] = [];

/** Every postal area of a country, once its gazetteer is read. */
export const usePostalAreas = (country: string): Located[] => {
  const gazetteer = useGazetteer(country);
  if (!gazetteer) return NONE;
  const found = listed.get(country) ?? allLocated(gazetteer);
  listed.set(country, found);
  return found;
};

/**
 * An address with what its postal code says: the subdivision it lies in, where none is given, and the point of its
 * area, as far as the gazetteer of its country is read and knows it.
 */
export const located = (destination: Destination): Destination => {
  const { point: _, ...address } = withSubdivision(destination);
  const found = locate(known.get(destination.country) ?? {}, destination);
  return found ? { ...address, point: found.point } : address;
};
