import type { Notice } from '../model/quote.ts';
import type { DisplayFormat } from '../words/figure.ts';
import type { Message } from '../words/message.ts';
import { sentence } from '../words/sentence.ts';

/** What a notice says, as data. */
export type NoticeMessage = Extract<Message, { code: Notice['code'] }>;

/** A notice, worded when read. */
class WordedNotice implements Notice {
  constructor(
    readonly say: NoticeMessage,
    private readonly display: DisplayFormat,
  ) {}

  get code(): Notice['code'] {
    return this.say.code;
  }

  get text(): string {
    return sentence(this.say, this.display);
  }

  toJSON(): Notice {
    return { code: this.code, text: this.text, say: this.say };
  }
}

/** A notice whose words are made when they are read, as the shop writes figures. */
export const noticeOf = (say: NoticeMessage, display: DisplayFormat): Notice =>
  new WordedNotice(say, display);
