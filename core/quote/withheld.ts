import type { Source, Withheld, WithheldCode } from '../model/quote.ts';
import type { DisplayFormat } from '../words/figure.ts';
import type { Message } from '../words/message.ts';
import { sentence } from '../words/sentence.ts';
import { withheldDetail } from './withheld-detail.ts';

/** A choice that is not offered, and why; the words are made when they are read. */
export class WithheldChoice implements Withheld {
  constructor(
    readonly id: string,
    readonly kind: Withheld['kind'],
    readonly name: string,
    readonly code: WithheldCode,
    readonly from: Source,
    readonly say: Message,
    private readonly display: DisplayFormat,
    readonly tell = false,
    readonly message: string | undefined = undefined,
  ) {}

  get detail(): Withheld['detail'] {
    return withheldDetail(this.say);
  }

  get text(): string {
    return sentence(this.say, this.display);
  }

  toJSON(): Withheld {
    const { id, kind, name, code, detail, text, say, tell, message, from } = this;
    const words = message === undefined ? {} : { message };
    return { id, kind, name, code, detail, text, say, tell, ...words, from };
  }
}
