import type { Source, WorkingLine } from '../model/quote.ts';
import type { DisplayFormat } from '../words/figure.ts';
import type { Message } from '../words/message.ts';
import { sentence } from '../words/sentence.ts';

/** One line of a working; its words are made when they are read. */
export class LedgerLine implements WorkingLine {
  constructor(
    readonly step: WorkingLine['step'],
    readonly change: number,
    readonly running: number,
    readonly from: Source,
    readonly say: Message,
    private readonly display: DisplayFormat,
  ) {}

  get text(): string {
    return sentence(this.say, this.display);
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

  constructor(private readonly display: DisplayFormat) {}

  add(step: WorkingLine['step'], change: number, from: Source, say: Message): void {
    this.running += change;
    this.lines.push(new LedgerLine(step, change, this.running, from, say, this.display));
  }
}
