/** Files out of and into the browser. */

const TYPES = { json: 'application/json', csv: 'text/csv' } as const;
export type FileKind = keyof typeof TYPES;

/** Hands a text to the person as a file. */
export const saveFile = (name: string, text: string): void => {
  const kind: FileKind = name.endsWith('.csv') ? 'csv' : 'json';
  const address = URL.createObjectURL(new Blob([text], { type: TYPES[kind] }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
};

/** The largest file that is read, in bytes. */
const LARGEST_FILE = 200_000_000;

/** The text of a file's bytes: UTF-8, or what older spreadsheets write where it is not. */
export const decoded = (bytes: ArrayBuffer): string => {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
};

/** Asks for a file and reads it; null where none is chosen. The text of one that is too large is null. */
export const openFile = (kind: FileKind): Promise<{ name: string; text: string | null } | null> =>
  new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = `.${kind},${TYPES[kind]}${kind === 'csv' ? ',.tsv,.txt,text/plain' : ''}`;
    input.addEventListener('cancel', () => resolve(null));
    input.addEventListener('change', () => {
      const file = input.files?.[0];
      if (!file) resolve(null);
      else if (file.size > LARGEST_FILE) resolve({ name: file.name, text: null });
      else void file.arrayBuffer().then((bytes) => resolve({ name: file.name, text: decoded(bytes) }));
    });
    input.click();
  });

/** A plain file name out of the shop's name and a day. */
export const fileName = (shop: string, what: string, day: string, kind: FileKind = 'json'): string => {
  const plain = shop
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  return `${plain || 'shop'}-${what}-${day}.${kind}`;
};
