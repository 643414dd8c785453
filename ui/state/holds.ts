import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { PastOrder } from '../../core/model/order.ts';
import type { QuoteRequest } from '../../core/model/request.ts';
import { slotsTaken } from '../../core/time/slots-taken.ts';

/** A time that a customer picked and that is kept while the order is finished; `until` is in milliseconds since 1970. */
export interface Hold {
  /** What its times are counted under: 'area:method', or the pickup point. */
  timeId: string;
  start: string;
  end: string;
  /** The moment as of which it was to be had. */
  asOf: string;
  until: number;
  /** It was kept for as long as it could be. */
  over?: true;
}

export interface HoldsState {
  /** What this tab's customer holds, by what it is for: the whole basket, or a part of it. */
  mine: Readonly<Record<string, Hold>>;
  /** What the customers of other tabs hold, by tab. */
  others: Readonly<Record<string, readonly Hold[]>>;
}

/** How long a time that was picked is kept while the customer finishes. */
export const HELD_MS = 15 * 60_000;

const holds = createSlice({
  name: 'holds',
  initialState: { mine: {}, others: {} } as HoldsState,
  reducers: {
    slotHeld: (state, { payload: { key, hold } }: PayloadAction<{ key: string; hold: Hold }>) => ({
      ...state,
      mine: { ...state.mine, [key]: hold },
    }),
    /** The order is placed: what was held for it is now taken. */
    holdsEnded: (state) => ({ ...state, mine: {} }),
    othersHold: (state, { payload }: PayloadAction<{ tab: string; holds: readonly Hold[] }>) => ({
      ...state,
      others: { ...state.others, [payload.tab]: payload.holds },
    }),
    /** It is so late: what is kept no longer is over, or gone where another tab held it. */
    holdsLapsed: ({ mine, others }, { payload: now }: PayloadAction<number>) => ({
      mine: Object.fromEntries(
        Object.entries(mine).map(([key, hold]) => [
          key,
          hold.until <= now ? { ...hold, over: true as const } : hold,
        ]),
      ),
      others: Object.fromEntries(
        Object.entries(others).map(([tab, held]) => [tab, held.filter(({ until }) => until > now)]),
      ),
    }),
  },
});
export const { slotHeld, holdsEnded, othersHold, holdsLapsed } = holds.actions;
export const holdsReducer = holds.reducer;

/** When the next time is no longer kept; null where none is. */
export const nextLapse = ({ mine, others }: HoldsState): number | null => {
  const all = [...Object.values(mine), ...Object.values(others).flat()].filter(({ over }) => !over);
  return all.length === 0 ? null : Math.min(...all.map(({ until }) => until));
};

/** Of two tabs that picked one time at once, the one that did so first has it. */
const isFirst = (mine: HoldsState['mine'], { timeId, start, until }: Hold): boolean =>
  !Object.values(mine).some(
    (own) => !own.over && own.timeId === timeId && own.start === start && own.until < until,
  );

/** The days and times that orders take, and those that customers of other tabs hold. */
export const slotsTakenOrHeld = (
  orders: readonly PastOrder[],
  { mine, others }: HoldsState,
): NonNullable<QuoteRequest['slotsTaken']> => [
  ...slotsTaken(orders),
  ...Object.values(others)
    .flat()
    .filter((hold) => isFirst(mine, hold))
    .map(({ timeId, start }) => ({ id: timeId, start, count: 1 })),
];
