const MOST_KEPT = 10_000;

/** A function of a text whose answers are kept, up to a bound. */
export const memoizeByText = <V>(work: (key: string) => V): ((key: string) => V) => {
  const known = new Map<string, V>();
  return (key) => {
    const found = known.get(key);
    if (found !== undefined) return found;
    const value = work(key);
    if (known.size >= MOST_KEPT) known.clear();
    known.set(key, value);
    return value;
  };
};
