/** The first few of a list, the rest counted. */
export const firstFew = (list: readonly string[]): string =>
  list.length > 8 ? `${list.slice(0, 8).join(', ')} and ${list.length - 8} more` : list.join(', ');
