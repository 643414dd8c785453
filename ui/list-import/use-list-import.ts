import { useEffect, useRef, useState } from 'react';
import { guessMapping } from '../../core/formats/list-columns.ts';
import type { ListColumn, ListMapping } from '../../core/formats/list-format.ts';
import type { ListName, Lists } from '../../core/formats/lists.ts';
import { decimalMark } from '../fields/readers.ts';
import type { ListSummary, Opened } from '../workers/list-reader.ts';
import { startListReader, type ListWork } from '../workers/start-list-reader.ts';

type Column<K extends ListName> = Lists[K]['column'];

interface Options<K extends ListName> {
  file: File;
  list: K;
  columns: readonly ListColumn<Column<K>>[];
  /** How the file is meant; another value has it read again. */
  meaning: Lists[K]['meaning'];
  onOpened?: (headings: readonly string[], mapping: ListMapping<Column<K>>) => void;
}

export interface ListImport<K extends ListName> {
  /** How much of the file is read, from 0 to 1. */
  progress: number;
  opened: Opened | null;
  mapping: ListMapping<Column<K>>;
  setMapping: (mapping: ListMapping<Column<K>>) => void;
  /** The columns of which nobody has said yet what they hold, by their places. */
  undecided: ReadonlySet<number>;
  decide: (places: readonly number[]) => void;
  /** What the rows gave; null while they are read. */
  summary: ListSummary | null;
  /** Why the file could not be read, or null. */
  fault: string | null;
  take: () => Promise<readonly Lists[K]['item'][]>;
}

const wordsOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** The columns with something in them that were not recognised by their headings. */
const unknownColumns = ({ headings, samples }: Opened, mapping: ListMapping<string>): Set<number> =>
  new Set(
    headings.flatMap((heading, at) => {
      const isEmpty = heading.trim() === '' && samples.every((cells) => (cells[at] ?? '').trim() === '');
      return mapping[at] === null && !isEmpty ? [at] : [];
    }),
  );

/** A list being read from a file in a worker: opened, its columns guessed, read again as they are changed. */
export const useListImport = <K extends ListName>({
  file,
  list,
  columns,
  meaning,
  onOpened,
}: Options<K>): ListImport<K> => {
  const work = useRef<ListWork<K> | null>(null);
  const [progress, setProgress] = useState(0);
  const [opened, setOpened] = useState<Opened | null>(null);
  const [mapping, setMapping] = useState<ListMapping<Column<K>>>([]);
  const [undecided, setUndecided] = useState<ReadonlySet<number>>(new Set());
  const [summary, setSummary] = useState<ListSummary | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const told = useRef(onOpened);
  told.current = onOpened;
  useEffect(() => {
    const started = startListReader(list);
    work.current = started;
    const open = async (): Promise<void> => {
      const found = await started.open(await file.arrayBuffer(), setProgress);
      const guessed = guessMapping(found.headings, columns);
      setMapping(guessed);
      setUndecided(unknownColumns(found, guessed));
      told.current?.(found.headings, guessed);
      setOpened(found);
    };
    open().catch((error: unknown) => setFault(wordsOf(error)));
    return () => started.stop();
  }, [file, list, columns]);
  useEffect(() => {
    const started = work.current;
    if (!opened || !started) return undefined;
    let isLatest = true;
    setSummary(null);
    started.read(mapping, meaning, decimalMark).then(
      (found) => void (isLatest && setSummary(found)),
      (error: unknown) => void (isLatest && setFault(wordsOf(error))),
    );
    return () => {
      isLatest = false;
    };
  }, [opened, mapping, meaning]);
  return {
    progress,
    opened,
    mapping,
    setMapping,
    undecided,
    decide: (places) => setUndecided(new Set([...undecided].filter((at) => !places.includes(at)))),
    summary,
    fault,
    take: async () => {
      if (!work.current || !summary) return [];
      return work.current.take(summary.sound);
    },
  };
};
