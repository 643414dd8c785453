import type { Source, Withheld, WithheldCode } from '../model/quote.ts';
import type { Speech } from '../words/figure.ts';
import type { Say } from '../words/say.ts';
import { sentence } from '../words/sentence.ts';

/** A choice that is not offered, and why; the words are made when the text is read. */
export class WithheldChoice implements Withheld {
  readonly kind: Withheld['kind'];
  readonly id: string;
  readonly name: string;
  readonly code: WithheldCode;
  readonly tell: boolean;
  readonly message?: string;
  readonly from: Source;
  readonly say: Say;
  readonly #speech: Speech;

  constructor(about: Omit<Withheld, 'text'> & { say: Say }, speech: Speech) {
    this.id = about.id;
    this.kind = about.kind;
    this.name = about.name;
    this.code = about.code;
    this.tell = about.tell;
    if (about.message !== undefined) this.message = about.message;
    this.from = about.from;
    this.say = about.say;
    this.#speech = speech;
  }

  get text(): string {
    return sentence(this.say, this.#speech);
  }

  toJSON(): Withheld {
    const { id, kind, name, code, text, tell, message, from } = this;
    return { id, kind, name, code, text, tell, ...(message === undefined ? {} : { message }), from };
  }
}
