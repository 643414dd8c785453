import { z } from 'zod';
import { othersHold } from './holds.ts';
import type { AppStore } from './store.ts';

const hold = z.object({
  timeId: z.string(),
  start: z.string(),
  end: z.string(),
  asOf: z.string(),
  until: z.number(),
});

/** What tabs tell each other: what one holds, or that one has opened and asks. */
const message = z.union([
  z.object({ asks: z.literal(true) }),
  z.object({
    tab: z.string(),
    holds: z.array(hold),
  }),
]);
type Message = z.infer<typeof message>;

/** A line between the tabs of one device. */
export interface HoldsLine {
  send: (what: Message) => void;
  hear: (heard: (what: unknown) => void) => void;
  close: () => void;
}

const CHANNEL = 'emporos-holds';

/** The browser's channel between pages; a browser without one has one tab. */
export const browserLine = (): HoldsLine => {
  const channel = 'BroadcastChannel' in window ? new BroadcastChannel(CHANNEL) : null;
  return {
    send: (what) => channel?.postMessage(what),
    hear: (heard) => channel?.addEventListener('message', ({ data }) => heard(data)),
    close: () => channel?.close(),
  };
};

/** Tells other tabs which times this one's customer holds, and takes what theirs do; gives them up when it is left. */
export const shareHolds = (
  store: AppStore,
  tab: string,
  line: HoldsLine,
): { tell: () => void; leave: () => void } => {
  let told = store.getState().holds.mine;
  const tell = (): void => {
    line.send({ tab, holds: Object.values(told).filter(({ over }) => !over) });
  };
  store.subscribe(() => {
    const { mine } = store.getState().holds;
    if (mine === told) return;
    told = mine;
    tell();
  });
  line.hear((what) => {
    const heard = message.safeParse(what);
    if (!heard.success) return;
    if ('asks' in heard.data) tell();
    else store.dispatch(othersHold(heard.data));
  });
  line.send({ asks: true });
  return { tell, leave: () => line.send({ tab, holds: [] }) };
};
