/** The names of things by their ids; an id that names nothing stands for itself. */
export const namesOf = (ids: readonly string[], all: readonly { id: string; name: string }[]): string[] =>
  ids.map((id) => all.find((one) => one.id === id)?.name ?? id);

/** 'A, B or C'; more than six are counted. */
export const listed = (names: readonly string[], joint: 'and' | 'or'): string => {
  if (names.length > 6) return `${names.slice(0, 5).join(', ')} ${joint} ${names.length - 5} more`;
  if (names.length < 2) return names[0] ?? 'none';
  return `${names.slice(0, -1).join(', ')} ${joint} ${names.at(-1)}`;
};
