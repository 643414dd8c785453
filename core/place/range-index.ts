/** Ranges of codes of one length, found without scanning them all. */
export interface RangeIndex<T> {
  add: (from: string, to: string, value: T) => void;
  /** Each value whose range holds the key. */
  holding: (key: string) => T[];
}

interface Span<T> {
  from: string;
  to: string;
  value: T;
  /** The greatest `to` of this span and all before it. */
  reach: string;
}

const sorted = <T>(spans: Span<T>[]): Span<T>[] => {
  spans.sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0));
  let reach = '';
  for (const span of spans) {
    if (span.to > reach) reach = span.to;
    span.reach = reach;
  }
  return spans;
};

/** The number of spans that begin at or before the key. */
const begunBy = <T>(spans: readonly Span<T>[], key: string): number => {
  let low = 0;
  let high = spans.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((spans[middle] as Span<T>).from <= key) low = middle + 1;
    else high = middle;
  }
  return low;
};

/** An index over ranges: a binary search, then a walk back only as far as some range still reaches. */
export const rangeIndex = <T>(): RangeIndex<T> => {
  let spans: Span<T>[] = [];
  let ready = false;
  return {
    add: (from, to, value) => {
      spans.push({ from, to, value, reach: to });
      ready = false;
    },
    holding: (key) => {
      if (!ready) {
        spans = sorted(spans);
        ready = true;
      }
      const found: T[] = [];
      for (let at = begunBy(spans, key) - 1; at >= 0; at -= 1) {
        const span = spans[at] as Span<T>;
        if (span.reach < key) break;
        if (span.to >= key) found.push(span.value);
      }
      return found;
    },
  };
};
