import { Counter, Gauge, Histogram, Registry } from 'prom-client';
import type { Asker } from '../carriers/asking.ts';
import type { QuoteAnswer } from './quote-answer.ts';
import type { EditionSource } from './served-edition.ts';

const SECONDS = [0.0005, 0.001, 0.002, 0.005, 0.01, 0.02, 0.05, 0.1, 0.25, 0.5, 1, 2, 5];

/** What is counted of quotes, as Prometheus reads it: no address, no basket, no key. */
export class Metrics {
  readonly registry = new Registry();
  readonly #quotes = new Counter({
    name: 'emporos_quotes_total',
    help: 'Orders quoted, by whether anything was offered; refused are those that could not be read.',
    labelNames: ['shop', 'outcome'],
    registers: [this.registry],
  });
  readonly #seconds = new Histogram({
    name: 'emporos_quote_seconds',
    help: 'Time to quote one order, carriers included.',
    labelNames: ['shop'],
    buckets: SECONDS,
    registers: [this.registry],
  });
  readonly #withheld = new Counter({
    name: 'emporos_not_offered_total',
    help: 'Choices that were not offered, by reason.',
    labelNames: ['shop', 'code'],
    registers: [this.registry],
  });
  readonly #fallbacks = new Counter({
    name: 'emporos_fallbacks_total',
    help: 'Quotes in which a fallback stood in for a carrier.',
    labelNames: ['shop'],
    registers: [this.registry],
  });
  readonly #carriers = new Counter({
    name: 'emporos_carrier_answers_total',
    help: 'Answers of carriers, by outcome.',
    labelNames: ['carrier', 'outcome'],
    registers: [this.registry],
  });

  constructor(editions: EditionSource) {
    new Gauge({
      name: 'emporos_live_edition',
      help: 'The number of the edition that is live.',
      labelNames: ['shop'],
      registers: [this.registry],
      aggregator: 'max',
      collect() {
        this.reset();
        for (const [shop, list] of editions.shops) this.set({ shop }, list.at(-1)?.number ?? 0);
      },
    });
    new Gauge({
      name: 'emporos_refused_files',
      help: 'Files of editions that are not served.',
      registers: [this.registry],
      aggregator: 'max',
      collect() {
        this.set(editions.refused.length);
      },
    });
  }

  /** Counts an order that was quoted, or could not be read (null), and the milliseconds it took. */
  quoted(shop: string, answer: QuoteAnswer | null, ms: number): void {
    this.#seconds.observe({ shop }, ms / 1_000);
    if (!answer) {
      this.#quotes.inc({ shop, outcome: 'refused' });
      return;
    }
    this.#quotes.inc({ shop, outcome: answer.choices.length > 0 ? 'offered' : 'nothing' });
    for (const { code } of answer.withheld) this.#withheld.inc({ shop, code });
    if (answer.notices.some(({ code }) => code === 'fallback-used')) this.#fallbacks.inc({ shop });
  }

  /** An asker whose carriers' answers are counted. */
  counting(asker: Asker): Asker {
    return {
      ...asker,
      ask: async (asked, signal) => {
        const answers = await asker.ask(asked, signal);
        for (const [at, answer] of answers.entries()) {
          const carrier = asked[at]?.question.carrier ?? '';
          this.#carriers.inc({ carrier, outcome: answer.ok ? 'answered' : answer.error });
        }
        return answers;
      },
    };
  }
}
