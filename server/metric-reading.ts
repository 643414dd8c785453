/** What had been counted since the service began, at one moment; of all shops together. */
export interface Reading {
  /** Milliseconds since 1970. */
  at: number;
  /** Orders by what came of them. */
  quotes: Readonly<Record<'offered' | 'nothing' | 'refused', number>>;
  /** Orders quoted within each time: the bounds of the histogram in seconds, rising, and how many took no longer. */
  within: readonly { seconds: number; orders: number }[];
  /** Answers of carriers: prices, and all else. */
  carriers: Readonly<Record<'answered' | 'failed', number>>;
  fallbacks: number;
  /** Choices that were not offered, by reason. */
  withheld: ReadonlyMap<string, number>;
}

interface Line {
  name: string;
  labels: Readonly<Record<string, string>>;
  value: number;
}

/** The lines of Prometheus' text format that hold a figure (https://prometheus.io/docs/instrumenting/exposition_formats). */
const linesOf = (text: string): Line[] =>
  text.split('\n').flatMap((line) => {
    const [, name = '', labels = '', value = ''] = /^([a-z_]+)(?:\{(.*)\})? (\S+)$/.exec(line) ?? [];
    if (name === '') return [];
    const pairs = [...labels.matchAll(/([a-z_]+)="([^"]*)"/g)].map(([, key = '', of = '']) => [key, of]);
    return [{ name, labels: Object.fromEntries(pairs) as Line['labels'], value: Number(value) }];
  });

/** The sums of the lines of a name, by one of their labels. */
const sumsBy = (lines: readonly Line[], name: string, label: string): Map<string, number> => {
  const sums = new Map<string, number>();
  for (const line of lines) {
    if (line.name !== name) continue;
    const key = line.labels[label] ?? '';
    sums.set(key, (sums.get(key) ?? 0) + line.value);
  }
  return sums;
};

const sum = (values: Iterable<number>): number => [...values].reduce((all, one) => all + one, 0);

/** What the text of `/metrics` says at a moment, milliseconds since 1970. */
export const readingOf = (text: string, at: number): Reading => {
  const lines = linesOf(text);
  const quotes = sumsBy(lines, 'emporos_quotes_total', 'outcome');
  const carriers = sumsBy(lines, 'emporos_carrier_answers_total', 'outcome');
  const answered = carriers.get('answered') ?? 0;
  return {
    at,
    quotes: {
      offered: quotes.get('offered') ?? 0,
      nothing: quotes.get('nothing') ?? 0,
      refused: quotes.get('refused') ?? 0,
    },
    within: [...sumsBy(lines, 'emporos_quote_seconds_bucket', 'le')]
      .map(([bound, orders]) => ({ seconds: bound === '+Inf' ? Infinity : Number(bound), orders }))
      .sort((a, b) => a.seconds - b.seconds),
    carriers: { answered, failed: sum(carriers.values()) - answered },
    fallbacks: sum(sumsBy(lines, 'emporos_fallbacks_total', '').values()),
    withheld: sumsBy(lines, 'emporos_not_offered_total', 'code'),
  };
};
