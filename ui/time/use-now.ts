import { useEffect, useState } from 'react';
import { momentNow } from './now.ts';

const MINUTE = 60_000;

/** The present moment, to the minute. */
export const useNow = (): string => {
  const [now, setNow] = useState(momentNow);
  useEffect(() => {
    const timer = setInterval(() => setNow(momentNow()), MINUTE);
    return () => clearInterval(timer);
  }, []);
  return now;
};
