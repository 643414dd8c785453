/** Files out of and into the browser. */

/** Hands a text to the person as a file. */
export const saveFile = (name: string, text: string): void => {
  const address = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
};

/** The largest file that is read, in bytes. */
const LARGEST_FILE = 200_000_000;

/** Asks for a file and reads it; null where none is chosen. The text of one that is too large is null. */
export const openFile = (): Promise<{ name: string; text: string | null } | null> =>
  new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = '.json,application/json';
    input.addEventListener('cancel', () => resolve(null));
    input.addEventListener('change', () => {
      const file = input.files?.[0];
      if (!file) resolve(null);
      else if (file.size > LARGEST_FILE) resolve({ name: file.name, text: null });
      else void file.text().then((text) => resolve({ name: file.name, text }));
    });
    input.click();
  });

/** A plain file name out of the shop's name and a day. */
export const fileName = (shop: string, what: string, day: string): string => {
  const plain = shop
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  return `${plain || 'shop'}-${what}-${day}.json`;
};
