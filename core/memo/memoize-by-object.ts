/** A function of one object whose answer is kept as long as the object lives, so that an edit redoes only its own part. */
export const memoizeByObject = <K extends object, V>(work: (key: K) => V): ((key: K) => V) => {
  const known = new WeakMap<K, V>();
  return (key) => {
    const found = known.get(key);
    if (found !== undefined) return found;
    const value = work(key);
    known.set(key, value);
    return value;
  };
};
