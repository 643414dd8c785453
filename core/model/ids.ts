/** A lower-case slug of a name that no id of the list has yet. */
export const freeId = (name: string, taken: readonly { id: string }[]): string => {
  const plain = name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  const base = plain.slice(0, 60) || 'item';
  const used = new Set(taken.map((item) => item.id));
  if (!used.has(base)) return base;
  let number = 2;
  while (used.has(`${base}-${number}`)) number += 1;
  return `${base}-${number}`;
};

/** A list with one of its items moved by so many places, within its ends. Changes the list it is given. */
export const moveItem = <T extends { id: string }>(items: T[], id: string, by: number): void => {
  const from = items.findIndex((item) => item.id === id);
  const to = Math.min(Math.max(from + by, 0), items.length - 1);
  const [item] = from < 0 ? [] : items.splice(from, 1);
  if (item) items.splice(to, 0, item);
};
