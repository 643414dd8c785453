import type { Message } from './message.ts';
import { spokenCodes } from './sentence.ts';

const CODES: ReadonlySet<string> = new Set(spokenCodes);

/**
 * What a line of a working, a reason or a notice says, as a code with its figures, also after it went through JSON.
 * Null where it was kept without, or with a code that is no more.
 */
export const messageOf = ({ say }: { say?: { code: string } | undefined }): Message | null =>
  say && CODES.has(say.code) ? (say as Message) : null;
