import { openProgram, openWithoutStorage, type OpenProgram } from './open-program.ts';

/** Whether the program of this page is open yet; the fault is what the browser said where it could not be opened. */
export interface Opening {
  program: OpenProgram | null;
  fault: string | null;
}

const NOT_YET: Opening = { program: null, fault: null };

let opening = NOT_YET;
let isBegun = false;
const watchers = new Set<() => void>();

const become = (next: Opening): void => {
  opening = next;
  for (const watcher of watchers) watcher();
};

/** Opens the program from what is kept on this device. */
export const openPage = async (): Promise<void> => {
  isBegun = true;
  become(NOT_YET);
  try {
    become({ program: await openProgram(), fault: null });
  } catch (error) {
    become({ program: null, fault: error instanceof Error ? error.message : String(error) });
  }
};

/** Goes on with a demo that is kept nowhere. */
export const openPageWithoutStorage = async (): Promise<void> =>
  become({ program: await openWithoutStorage(), fault: null });

/** Closes the program; the page shows nothing until it is opened again. */
export const closePage = async (): Promise<void> => {
  const { program } = opening;
  become(NOT_YET);
  await program?.close();
};

export const openingNow = (): Opening => opening;

/** Calls back when the program is opened or closed. The first who asks opens it: a page has one, however often it is drawn. */
export const watchOpening = (watcher: () => void): (() => void) => {
  watchers.add(watcher);
  if (!isBegun) void openPage();
  return () => void watchers.delete(watcher);
};
