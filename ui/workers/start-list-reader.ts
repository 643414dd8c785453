import { proxy, transfer, wrap, type Remote } from 'comlink';
import { workerLanguage } from '../language/chosen-language.ts';
import type { Fault } from '../../core/model/fault.ts';
import type { ListMapping } from '../../core/formats/list-format.ts';
import type { ListName, Lists } from '../../core/formats/lists.ts';
import type { ListSheet } from '../files/workbook.ts';
import type { ListReader, ListSummary, Opened } from './list-reader.ts';

const PART = 10_000;

/** A list being read from a file in a worker of its own; to stop is to end the worker. */
export interface ListWork<K extends ListName> {
  open: (bytes: ArrayBuffer, onProgress: (share: number) => void) => Promise<Opened>;
  /** `mark` marks decimals where the file's own cells do not show what does. */
  read: (
    mapping: ListMapping<Lists[K]['column']>,
    meaning: Lists[K]['meaning'],
    mark: '.' | ',',
  ) => Promise<ListSummary>;
  /** All items, fetched in parts and frozen, so that the page answers meanwhile. */
  take: (count: number) => Promise<readonly Lists[K]['item'][]>;
  stop: () => void;
}

/** Lets the page draw and answer before the next part. */
const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

const takeAll = async <K extends ListName>(
  reader: Remote<ListReader>,
  count: number,
): Promise<readonly Lists[K]['item'][]> => {
  const all: Lists[K]['item'][] = [];
  for (let from = 0; from < count; from += PART) {
    const part = (await reader.items(from, PART)) as Lists[K]['item'][];
    for (const item of part) {
      Object.freeze(item);
      all.push(item);
    }
    await pause();
  }
  return Object.freeze(all);
};

/** What the worker does: reads a list out of a file, and writes one as a workbook. */
interface ListWorker extends ListReader {
  workbook: (sheet: ListSheet) => Promise<ArrayBuffer>;
}

const startWorker = (): { worker: Worker; remote: Remote<ListWorker> } => {
  const worker = new Worker(new URL('./list-reader.worker.ts', window.location.href), {
    name: workerLanguage(),
  });
  return { worker, remote: wrap<ListWorker>(worker) };
};

/** A list as the bytes of a workbook, written beside the page. */
export const writtenBeside = async (sheet: ListSheet): Promise<ArrayBuffer> => {
  const { worker, remote } = startWorker();
  try {
    return await remote.workbook(sheet);
  } finally {
    worker.terminate();
  }
};

/** The rows of a file, headings first, read beside the page. Rejects with a sentence where it cannot be read. */
export const rowsBeside = async (bytes: ArrayBuffer): Promise<{ rows: string[][]; faults: Fault[] }> => {
  const { worker, remote } = startWorker();
  try {
    await remote.open(
      transfer(bytes, [bytes]),
      proxy(() => undefined),
    );
    const rows: string[][] = [];
    for (
      let part = await remote.rows(0, PART);
      part.length > 0;
      part = await remote.rows(rows.length, PART)
    ) {
      for (const row of part) rows.push(row);
      await pause();
    }
    return { rows, faults: await remote.broken() };
  } finally {
    worker.terminate();
  }
};

/** A worker that reads one list of a kind. */
export const startListReader = <K extends ListName>(list: K): ListWork<K> => {
  const { worker, remote: reader } = startWorker();
  return {
    read: (mapping, meaning, mark) => reader.read(list, mapping, meaning, mark),
    open: (bytes, onProgress) => reader.open(transfer(bytes, [bytes]), proxy(onProgress)),
    take: (count) => takeAll(reader, count),
    stop: () => worker.terminate(),
  };
};
