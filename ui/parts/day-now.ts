import { localMoment } from '../../core/time/local-moment.ts';

/** The date now where the shop is: what files are named by and days are counted from, whatever zone the device is in. */
export const dayNow = ({ timeZone }: { timeZone: string }): string =>
  localMoment(new Date().toISOString(), timeZone).date;
