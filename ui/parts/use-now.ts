import { useEffect, useState } from 'react';

const MINUTE = 60_000;

/** The present moment, to the minute. */
export const useNow = (): string => {
  const [now, setNow] = useState(() => new Date().toISOString());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().toISOString()), MINUTE);
    return () => clearInterval(timer);
  }, []);
  return now;
};
