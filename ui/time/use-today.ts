import { useState } from 'react';
import { localMoment } from '../../core/time/local-moment.ts';
import { momentNow } from './now.ts';

/** The date where the shop is, as it was when the page was opened. */
export const useToday = (timeZone: string): string => {
  const [now] = useState(momentNow);
  return localMoment(now, timeZone).date;
};
