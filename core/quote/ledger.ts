import type { Source, WorkingLine } from '../model/quote.ts';
import type { Speech } from '../words/figure.ts';
import type { Say } from '../words/say.ts';
import { sentence } from '../words/sentence.ts';

/** Something said by code and figures, put into words only when its text is read. */
class Spoken {
  readonly say: Say;
  readonly #speech: Speech;

  constructor(say: Say, speech: Speech) {
    this.say = say;
    this.#speech = speech;
  }

  get text(): string {
    return sentence(this.say, this.#speech);
  }
}

/** One line of a working. */
export class LedgerLine extends Spoken implements WorkingLine {
  readonly step: WorkingLine['step'];
  readonly change: number;
  readonly running: number;
  readonly from: Source;

  constructor(step: WorkingLine['step'], change: number, running: number, from: Source, say: Say, speech: Speech) {
    super(say, speech);
    this.step = step;
    this.change = change;
    this.running = running;
    this.from = from;
  }

  toJSON(): WorkingLine {
    const { step, text, change, running, from } = this;
    return { step, text, change, running, from };
  }
}

/** The lines by which one charge comes about, and the charge so far. */
export class Ledger {
  readonly lines: LedgerLine[] = [];
  running = 0;
  readonly #speech: Speech;

  constructor(speech: Speech) {
    this.#speech = speech;
  }

  add(step: WorkingLine['step'], change: number, from: Source, say: Say): void {
    this.running += change;
    this.lines.push(new LedgerLine(step, change, this.running, from, say, this.#speech));
  }
}
