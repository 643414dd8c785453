import type { Middleware } from '@reduxjs/toolkit';
import { z } from 'zod';
import { EDITS, type EditName } from '../edits/edits.ts';
import { edit, redone, undone, type DraftState } from '../draft.ts';
import type { AppStore } from '../store.ts';
import type { KeyValueStore } from './writer.ts';

/**
 * The edits that are not yet in the kept draft, written at the moment they are made into the browser's small storage,
 * which writes at once. The next start takes them up where the page was left too soon for the draft to be kept.
 */
export interface Journal {
  /** Notes each edit of the store as it is made. */
  middleware: Middleware;
  /** The draft is kept up to a revision, under a stamp; what is later stays noted. */
  keptUpTo: (revision: number, stamp: string | null) => void;
  /** Whether every edit that is not kept yet is at least noted. */
  isSafe: () => boolean;
}

const PREFIX = 'emporos-journal/';

const entrySchema = z.object({
  revision: z.int().min(1),
  kind: z.enum(['edit', 'undo', 'redo']),
  name: z.string().optional(),
  payload: z.unknown(),
  label: z.string().optional(),
  visit: z.string().nullable().optional(),
});
type Entry = z.infer<typeof entrySchema>;
const journalSchema = z.object({ base: z.string().nullable(), entries: z.array(entrySchema).max(10_000) });

interface EditAction {
  type: string;
  payload: { name: string; payload: unknown; label: string; visit: string | null };
}

const entryOf = (action: unknown, revision: number): Entry => {
  if (undone.match(action)) return { revision, kind: 'undo', payload: null };
  if (redone.match(action)) return { revision, kind: 'redo', payload: null };
  const { name, payload, label, visit } = (action as EditAction).payload;
  return { revision, kind: 'edit', name, payload, label, visit };
};

/** The journal of one tab; `base` is the stamp of the draft that its edits are made over. */
export const makeJournal = (device: KeyValueStore, tab: string, base: string | null): Journal => {
  const key = PREFIX + tab;
  let entries: Entry[] = [];
  let over = base;
  let isSafe = true;
  const write = (): void => {
    const wish =
      entries.length === 0
        ? device.removeItem(key)
        : device.setItem(key, JSON.stringify({ base: over, entries }));
    wish.then(
      () => void (isSafe = true),
      () => void (isSafe = entries.length === 0),
    );
  };
  return {
    middleware: (store) => (next) => (action) => {
      const revisionOf = (): number => (store.getState() as { draft: DraftState }).draft.revision;
      const before = revisionOf();
      const result = next(action);
      const revision = revisionOf();
      if (revision !== before) {
        entries.push(entryOf(action, revision));
        write();
      }
      return result;
    },
    keptUpTo: (revision, stamp) => {
      entries = entries.filter((entry) => entry.revision > revision);
      over = stamp;
      write();
    },
    isSafe: () => isSafe,
  };
};

const isEditName = (name: string): name is EditName => Object.hasOwn(EDITS, name);

/** What edits were called before: a journal may be of an earlier program. */
const EARLIER_NAMES: Readonly<Record<string, EditName>> = {
  addTrial: 'addTestOrder',
  copyTrial: 'copyTestOrder',
  moveTrial: 'moveTestOrder',
  placeTrial: 'placeTestOrder',
  removeTrial: 'removeTestOrder',
  renameTrial: 'renameTestOrder',
  takeTrials: 'takeTestOrders',
};
const earlierPayload = z.looseObject({ trial: z.unknown().optional(), trials: z.unknown().optional() });

/** An edit of an earlier program by the names of today. */
const ofToday = (name: string, payload: unknown): { name: string; payload: unknown } => {
  const known = EARLIER_NAMES[name];
  if (!known) return { name, payload };
  const { trial, trials, ...rest } = earlierPayload.parse(payload);
  const named = { ...(trial ? { testOrder: trial } : {}), ...(trials ? { testOrders: trials } : {}) };
  return { name: known, payload: { ...rest, ...named } };
};

const replay = (store: AppStore, { kind, name = '', payload, label = '', visit = null }: Entry): void => {
  if (kind === 'undo') store.dispatch(undone());
  else if (kind === 'redo') store.dispatch(redone());
  else {
    const now = ofToday(name, payload);
    if (isEditName(now.name)) store.dispatch(edit(now.name, now.payload as never, label, visit));
  }
};

/** The edits of a journal that the kept draft lacks; none where it has gone another way since. */
const missing = (text: string, tab: string, stamp: string | null): Entry[] => {
  const read = journalSchema.safeParse(JSON.parse(text));
  if (!read.success) return [];
  const { base, entries } = read.data;
  const [writer, revision] = stamp?.split(':') ?? [];
  if (writer === tab) return entries.filter((entry) => entry.revision > Number(revision));
  return base === stamp ? entries : [];
};

/** The tabs that noted edits and are gone: what they noted is to be taken up. Asked before the draft is read. */
export const tabsLeft = async (
  device: KeyValueStore,
  isGone: (tab: string) => Promise<boolean>,
): Promise<string[]> => {
  const keys = (await device.getAllKeys()).filter((key) => key.startsWith(PREFIX));
  const tabs = keys.map((key) => key.slice(PREFIX.length));
  const gone = await Promise.all(tabs.map(isGone));
  return tabs.filter((_, at) => gone[at]);
};

/**
 * Makes the edits again that tabs noted and could not keep before they were closed. Gives how many were taken up.
 */
export const takeUpJournals = async (
  store: AppStore,
  device: KeyValueStore,
  stamp: string | null,
  tabs: readonly string[],
): Promise<number> => {
  let taken = 0;
  for (const tab of tabs) {
    const key = PREFIX + tab;
    const text = await device.getItem(key);
    if (text === null) continue;
    const before = store.getState().draft.revision;
    try {
      for (const entry of missing(text, tab, stamp)) replay(store, entry);
    } catch {
      // What cannot be made again is left; the draft is as it was kept.
    }
    taken += store.getState().draft.revision - before;
    await device.removeItem(key);
  }
  return taken;
};
