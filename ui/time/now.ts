import { localMoment } from '../../core/time/local-moment.ts';

/** The moment now: the one place of the interface that reads the device's clock. */
export const momentNow = (): string => new Date().toISOString();

/** The moment now in milliseconds, for spans of time. */
export const epochNow = (): number => Date.now();

/** The date now where the shop is: what files are named by and days are counted from, whatever zone the device is in. */
export const dayNow = ({ timeZone }: { timeZone: string }): string => localMoment(momentNow(), timeZone).date;
