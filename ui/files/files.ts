/** Files out of and into the browser. */

const TYPES = {
  json: 'application/json',
  csv: 'text/csv',
  geojson: 'application/geo+json',
  ics: 'text/calendar',
  html: 'text/html',
  md: 'text/markdown',
  pdf: 'application/pdf',
  svg: 'image/svg+xml',
  png: 'image/png',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
} as const;
export type FileKind = keyof typeof TYPES;
/** What such files are called besides. */
const MORE: Partial<Record<FileKind, string>> = {
  csv: ',.tsv,.txt,text/plain,.xlsx,.xls',
  geojson: ',.json,application/json',
};

const downloadBlob = (name: string, blob: Blob): void => {
  const address = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
};

/** Hands bytes to the person as a file: a PDF if nothing else is said. */
export const saveBytes = (name: string, bytes: Uint8Array | ArrayBuffer, type: string = TYPES.pdf): void =>
  downloadBlob(name, new Blob([bytes as BlobPart], { type }));

/** Hands a workbook to the person as a file. */
export const saveWorkbook = (name: string, bytes: ArrayBuffer): void => saveBytes(name, bytes, TYPES.xlsx);

/** Hands a text that is in parts to the person as a file. */
export const saveParts = (name: string, parts: readonly string[]): void => {
  const ending = name.slice(name.lastIndexOf('.') + 1);
  const kind: FileKind = ending in TYPES ? (ending as FileKind) : 'json';
  downloadBlob(name, new Blob([...parts], { type: TYPES[kind] }));
};

/** Hands a text to the person as a file. */
export const saveFile = (name: string, text: string): void => saveParts(name, [text]);

/** The largest file that is read, in bytes. */
const LARGEST_FILE = 200_000_000;

/** The first bytes that say how a text is written. */
const MARKS: readonly [bytes: readonly number[], encoding: string][] = [
  [[0xff, 0xfe], 'utf-16le'],
  [[0xfe, 0xff], 'utf-16be'],
];
const LOOKED_AT = 64;

/** UTF-16 without a mark: in its Latin letters every other byte is 0, which no other text has. */
const unmarked = (bytes: Uint8Array): string | null => {
  const first = bytes.subarray(0, LOOKED_AT);
  const zeros = (odd: number): number => first.filter((byte, at) => byte === 0 && at % 2 === odd).length;
  if (bytes.length % 2 !== 0 || zeros(0) + zeros(1) < first.length / 4) return null;
  return zeros(1) > zeros(0) ? 'utf-16le' : 'utf-16be';
};

/** The text of a file's bytes: UTF-16 where it is that, else UTF-8, or what older spreadsheets write where it is not. */
export const decoded = (buffer: ArrayBuffer): string => {
  const bytes = new Uint8Array(buffer);
  const marked = MARKS.find(([mark]) => mark.every((byte, at) => bytes[at] === byte))?.[1];
  const encoding = marked ?? unmarked(bytes);
  if (encoding) return new TextDecoder(encoding).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
};

/** Asks for a file; null where none is chosen. */
export const chooseFile = (kind: FileKind): Promise<File | null> =>
  new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = `.${kind},${TYPES[kind]}${MORE[kind] ?? ''}`;
    input.addEventListener('cancel', () => resolve(null));
    input.addEventListener('change', () => resolve(input.files?.[0] ?? null));
    input.click();
  });

/** Whether a file is too large to be read. */
export const isTooLarge = ({ size }: File): boolean => size > LARGEST_FILE;

/** Asks for a file and reads it; null where none is chosen. The text of one that is too large is null. */
export const openFile = async (kind: FileKind): Promise<{ name: string; text: string | null } | null> => {
  const file = await chooseFile(kind);
  if (!file) return null;
  return { name: file.name, text: isTooLarge(file) ? null : decoded(await file.arrayBuffer()) };
};

/** A plain file name out of the shop's name and a day. */
export const fileName = (shop: string, what: string, day: string, kind: FileKind = 'json'): string => {
  const plain = shop
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  return `${plain || 'shop'}-${what}-${day}.${kind}`;
};
