import { useEffect, useState } from 'react';

/** Whether the browser has promised to keep what is stored; null where it cannot say. */
export const usePersistence = (): boolean | null => {
  const [persisted, setPersisted] = useState<boolean | null>(null);
  useEffect(() => {
    let wanted = true;
    void globalThis.navigator?.storage?.persisted?.().then((is) => {
      if (wanted) setPersisted(is);
    });
    return () => {
      wanted = false;
    };
  }, []);
  return persisted;
};
