import { t } from '../core/translate/translate.ts';
import { carrierAnswerSchema, type CarrierAnswer, type CarrierQuestion } from '../core/model/carrier.ts';

/** Answers that several askers share, by their question; both may fail or be slow, and nothing is then shared. */
export interface SharedAnswers {
  /** What was kept in the last ten minutes, not to be trusted; null where nothing was. */
  find: (question: CarrierQuestion) => Promise<unknown>;
  keep: (question: CarrierQuestion, answer: CarrierAnswer) => Promise<void>;
}

/** What asking needs of the world around it. */
export interface AskingWorld {
  /** Puts one question to a carrier; what comes back is not to be trusted. Rejects where it cannot be reached. */
  send: (question: CarrierQuestion, signal: AbortSignal) => Promise<unknown>;
  /** Milliseconds on a clock that only goes forward. */
  now: () => number;
  /** From 0 to below 1. */
  random: () => number;
  shared?: SharedAnswers;
}

/** A question with the time its account allows for an answer, in milliseconds. */
export interface Asked {
  question: CarrierQuestion;
  timeoutMs: number;
}

export interface Asker {
  /** Every question's answer, asked at the same time; never rejects. Cancelled by the signal, it gives 'unreachable'. */
  ask: (asked: readonly Asked[], signal?: AbortSignal) => Promise<CarrierAnswer[]>;
  /** What is already known of a question, without asking. */
  known: (question: CarrierQuestion) => CarrierAnswer | null;
  /** The carriers that are rested after failing again and again, until when. */
  resting: () => ReadonlyMap<string, number>;
  /** Forgets every answer and every failure. */
  forget: () => void;
}

/** How long an answer is used, in milliseconds. */
export const FRESH_MS = 10 * 60_000;
const MOST_KEPT = 5_000;
/** So many failures in a row, and the carrier is left alone for a while. */
const FAILURES_TO_REST = 4;
const REST_MS = 30_000;
/** The retry waits between these shares of what is left of the time. */
const RETRY_FROM = 0.05;
const RETRY_SPREAD = 0.1;

type Failed = Extract<CarrierAnswer, { ok: false }>;

const failed = ({ key }: CarrierQuestion, error: Failed['error'], text: string): Failed => ({
  key,
  ok: false,
  error,
  text,
});

/** What tells one question from another. */
const cacheKey = (question: CarrierQuestion): string => JSON.stringify(question);

/** An answer read with suspicion: of the right shape, for this question, and no service for nothing. */
const readAnswer = (question: CarrierQuestion, raw: unknown): CarrierAnswer => {
  const read = carrierAnswerSchema.safeParse(raw);
  if (!read.success || read.data.key !== question.key)
    return failed(question, 'malformed', t('the answer cannot be read'));
  if (read.data.ok && read.data.services.some(({ amount }) => amount === 0))
    return failed(question, 'malformed', t('a service was priced at nothing'));
  return read.data;
};

/** Failures of which trying again at once may help. */
const mayPass = (answer: CarrierAnswer): boolean => !answer.ok && answer.error !== 'refused';

interface UnderWay {
  answer: Promise<CarrierAnswer>;
  controller: AbortController;
  askers: number;
}

class Conversation {
  private readonly kept = new Map<string, { answer: CarrierAnswer; at: number }>();
  private readonly underWay = new Map<string, UnderWay>();
  private readonly failures = new Map<string, number>();
  readonly restingUntil = new Map<string, number>();

  constructor(private readonly world: AskingWorld) {}

  known(question: CarrierQuestion): CarrierAnswer | null {
    const key = cacheKey(question);
    const found = this.kept.get(key);
    if (!found) return null;
    if (this.world.now() - found.at < FRESH_MS) return found.answer;
    this.kept.delete(key);
    return null;
  }

  forget(): void {
    this.kept.clear();
    this.failures.clear();
    this.restingUntil.clear();
  }

  answer(asked: Asked, signal: AbortSignal | undefined): Promise<CarrierAnswer> {
    const { question } = asked;
    const known = this.known(question);
    if (known) return Promise.resolve(known);
    const until = this.restingUntil.get(question.carrier) ?? 0;
    if (until > this.world.now())
      return Promise.resolve(
        failed(question, 'unreachable', t('it failed again and again and is left alone for a while')),
      );
    return this.join(asked, signal);
  }

  /** Shares a question that is under way with whoever asks the same; it is given up when all of them have. */
  private join(asked: Asked, signal: AbortSignal | undefined): Promise<CarrierAnswer> {
    const { question } = asked;
    const key = cacheKey(question);
    const shared = this.underWay.get(key) ?? this.start(key, asked);
    shared.askers += 1;
    return new Promise((resolve) => {
      const leave = (): void => {
        shared.askers -= 1;
        if (shared.askers === 0) shared.controller.abort();
        resolve(failed(question, 'unreachable', ''));
      };
      if (signal?.aborted) {
        leave();
        return;
      }
      signal?.addEventListener('abort', leave, { once: true });
      void shared.answer.then((answer) => {
        signal?.removeEventListener('abort', leave);
        resolve(answer);
      });
    });
  }

  private start(key: string, asked: Asked): UnderWay {
    const controller = new AbortController();
    const answer = this.converse(asked, controller.signal).finally(() => this.underWay.delete(key));
    const shared = { answer, controller, askers: 0 };
    this.underWay.set(key, shared);
    return shared;
  }

  /** What another asker was told; null where that is not known, or is no answer to the question. */
  private async toldOthers(question: CarrierQuestion): Promise<CarrierAnswer | null> {
    const found = await this.world.shared?.find(question).catch(() => null);
    if (found === null || found === undefined) return null;
    const answer = readAnswer(question, found);
    return answer.ok || answer.error === 'refused' ? answer : null;
  }

  private async converse(asked: Asked, signal: AbortSignal): Promise<CarrierAnswer> {
    const until = this.world.now() + asked.timeoutMs;
    // What others were told is not kept here too: it would be used for longer than it is fresh.
    const told = this.world.shared ? await this.toldOthers(asked.question) : null;
    if (told) return told;
    let answer = await this.once(asked.question, until, signal);
    if (mayPass(answer) && !signal.aborted && until > this.world.now()) {
      const share = RETRY_FROM + this.world.random() * RETRY_SPREAD;
      await pause((until - this.world.now()) * share, signal);
      if (until > this.world.now()) answer = await this.once(asked.question, until, signal);
    }
    if (!signal.aborted) this.remember(asked.question, answer);
    return answer;
  }

  private async once(question: CarrierQuestion, until: number, outer: AbortSignal): Promise<CarrierAnswer> {
    const late = new AbortController();
    const timer = setTimeout(() => late.abort(), Math.max(0, until - this.world.now()));
    const stop = (): void => late.abort();
    outer.addEventListener('abort', stop);
    try {
      const stopped = new Promise<never>((_, reject) =>
        late.signal.addEventListener('abort', () => reject(new Error('late'))),
      );
      return readAnswer(question, await Promise.race([this.world.send(question, late.signal), stopped]));
    } catch {
      const isLate = late.signal.aborted && !outer.aborted;
      return failed(question, isLate ? 'timed-out' : 'unreachable', '');
    } finally {
      clearTimeout(timer);
      outer.removeEventListener('abort', stop);
    }
  }

  private remember(question: CarrierQuestion, answer: CarrierAnswer): void {
    const { carrier } = question;
    if (mayPass(answer)) {
      const count = (this.failures.get(carrier) ?? 0) + 1;
      this.failures.set(carrier, count);
      if (count >= FAILURES_TO_REST) this.restingUntil.set(carrier, this.world.now() + REST_MS);
      return;
    }
    this.failures.delete(carrier);
    this.restingUntil.delete(carrier);
    if (this.kept.size >= MOST_KEPT) this.kept.clear();
    this.kept.set(cacheKey(question), { answer, at: this.world.now() });
    this.world.shared?.keep(question, answer).catch(() => undefined);
  }
}

const pause = (ms: number, signal: AbortSignal): Promise<void> =>
  new Promise((resolve) => {
    const timer = setTimeout(done, ms);
    function done(): void {
      clearTimeout(timer);
      signal.removeEventListener('abort', done);
      resolve();
    }
    signal.addEventListener('abort', done);
  });

/**
 * Asks carriers: all at once, each within its account's time, with one retry a little later where the failure
 * may pass; answers are kept for ten minutes by their question, which holds the day of shipping, so that none
 * is used past it, and are shared with other askers where there is a way; questions alike that are under way are joined; a carrier that fails again and again is left
 * alone for half a minute.
 */
export const makeAsker = (world: AskingWorld): Asker => {
  const conversation = new Conversation(world);
  return {
    ask: (asked, signal) => Promise.all(asked.map((one) => conversation.answer(one, signal))),
    known: (question) => conversation.known(question),
    forget: () => conversation.forget(),
    resting: () => {
      const now = world.now();
      return new Map([...conversation.restingUntil].filter(([, until]) => until > now));
    },
  };
};
