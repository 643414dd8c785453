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
    const { step, text, say, change, running, from } = this;
    return { step, text, say, change, running, from };
  }
}
