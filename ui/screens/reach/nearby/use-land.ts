import { useEffect, useState } from 'react';
import { readLand, type Land } from './coast.ts';

/** All land, once it is read. */
export const useLand = (): Land[] => {
  const [land, setLand] = useState<Land[]>([]);
  useEffect(() => {
    let wanted = true;
    void readLand().then((read) => {
      if (wanted) setLand(read);
    });
    return () => {
      wanted = false;
    };
  }, []);
  return land;
};
