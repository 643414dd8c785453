import type { CarrierAnswer, CarrierQuestion } from '../core/model/carrier.ts';
import { askerHere } from './ask-here.ts';
import { makeAsker, type Asker, type SharedAnswers } from './asking.ts';
import { readTroubles, Troubles } from './misbehaviour.ts';
import { makeQuestion } from './testing/question.ts';

type Send = (question: CarrierQuestion, signal: AbortSignal) => Promise<unknown>;

const sound = ({ key }: CarrierQuestion, amount = 1_200): CarrierAnswer => ({
  key,
  ok: true,
  services: [{ code: 'ground', name: 'Ground', amount }],
});
const forever: Send = (_question, signal) =>
  new Promise((_, reject) => signal.addEventListener('abort', () => reject(new Error('stopped'))));

let clock = 0;
const settle = async (ms: number): Promise<void> => {
  for (let left = ms; left > 0; left -= 50) {
    const step = Math.min(50, left);
    clock += step;
    await jest.advanceTimersByTimeAsync(step);
  }
};
const world = (send: Send, shared?: SharedAnswers): { asker: Asker; sent: string[] } => {
  const sent: string[] = [];
  const asker = makeAsker({
    ...(shared ? { shared } : {}),
    send: (question, signal) => {
      sent.push(question.key);
      return send(question, signal);
    },
    now: () => clock,
    random: () => 0.5,
  });
  return { asker, sent };
};
const asked = (question = makeQuestion(), timeoutMs = 1_000) => [{ question, timeoutMs }];
const failure = async (answers: Promise<CarrierAnswer[]>): Promise<string> => {
  const [answer] = await answers;
  return !answer || answer.ok ? 'answered' : answer.error;
};

beforeEach(() => {
  clock = 0;
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

describe('asking carriers', () => {
  test('keeps an answer for ten minutes, by the question', async () => {
    const { asker, sent } = world((question) => Promise.resolve(sound(question)));
    expect(asker.known(makeQuestion())).toBeNull();
    await asker.ask(asked());
    await asker.ask(asked());
    expect(asker.known(makeQuestion())).toMatchObject({ ok: true });
    expect(sent).toHaveLength(1);
    await asker.ask(asked(makeQuestion({ shipDate: '2026-11-27' })));
    expect(sent).toHaveLength(2);
    clock += 10 * 60_000;
    await asker.ask(asked());
    expect(sent).toHaveLength(3);
  });

  test('joins questions alike, and gives one up only when all who asked have', async () => {
    let stopped = false;
    const { asker, sent } = world((_question, signal) => {
      signal.addEventListener('abort', () => (stopped = true));
      return new Promise((resolve) => setTimeout(() => resolve(sound(makeQuestion())), 300));
    });
    const [first, second] = [new AbortController(), new AbortController()];
    const answers = [asker.ask(asked(), first.signal), asker.ask(asked(), second.signal)];
    first.abort();
    expect(await failure(answers[0] as Promise<CarrierAnswer[]>)).toBe('unreachable');
    expect(stopped).toBe(false);
    await settle(300);
    expect(await failure(answers[1] as Promise<CarrierAnswer[]>)).toBe('answered');
    expect(sent).toHaveLength(1);
    const alone = new AbortController();
    const given = asker.ask(asked(makeQuestion({ key: 'other' })), alone.signal);
    alone.abort();
    await given;
    expect(stopped).toBe(true);
  });

  test('tries once more within the time, and no more', async () => {
    let count = 0;
    const { asker, sent } = world((question) => {
      count += 1;
      return count === 1 ? Promise.reject(new Error('gone')) : Promise.resolve(sound(question));
    });
    const answer = asker.ask(asked());
    await settle(200);
    expect(await failure(answer)).toBe('answered');
    expect(sent).toHaveLength(2);
    const down = world(() => Promise.reject(new Error('gone')));
    const failed = down.asker.ask(asked());
    await settle(1_000);
    expect(await failure(failed)).toBe('unreachable');
    expect(down.sent).toHaveLength(2);
  });

  test('answers within the time-out when a carrier does not', async () => {
    const { asker } = world(forever);
    const answer = asker.ask(asked(makeQuestion(), 800));
    await settle(800);
    expect(await failure(answer)).toBe('timed-out');
  });

  test.each<[string, unknown]>([
    ['a page instead of an answer', '<h1>Maintenance</h1>'],
    ['an answer to another question', sound(makeQuestion({ key: 'other' }))],
    ['a service for nothing', sound(makeQuestion(), 0)],
    ['a charge with a fraction', sound(makeQuestion(), 12.5)],
  ])('takes %s for malformed', async (_name, raw) => {
    const { asker } = world(() => Promise.resolve(raw));
    const answer = asker.ask(asked());
    await settle(1_000);
    expect(await failure(answer)).toBe('malformed');
  });

  test('does not ask a refused question again, and keeps the refusal', async () => {
    const { asker, sent } = world(({ key }) =>
      Promise.resolve({ key, ok: false, error: 'refused', text: 'no' }),
    );
    expect(await failure(asker.ask(asked()))).toBe('refused');
    expect(await failure(asker.ask(asked()))).toBe('refused');
    expect(sent).toHaveLength(1);
  });

  test('leaves a carrier alone for a while after it failed again and again, and says so', async () => {
    const { asker, sent } = world(() => Promise.reject(new Error('gone')));
    for (let at = 0; at < 4; at += 1) {
      const answer = asker.ask(asked(makeQuestion({ key: `k${at}` })));
      await settle(1_000);
      await answer;
    }
    expect([...asker.resting().keys()]).toEqual(['fulmar']);
    const count = sent.length;
    const [answer] = await asker.ask(asked(makeQuestion({ key: 'k9' })));
    expect(answer).toMatchObject({ error: 'unreachable', text: expect.stringContaining('left alone') });
    expect(sent).toHaveLength(count);
    clock += 30_000;
    expect(asker.resting().size).toBe(0);
    void asker.ask(asked(makeQuestion({ key: 'k9' })));
    expect(sent).toHaveLength(count + 1);
  });

  test('asks several at once, and one that is down does not hold up the others beyond its time', async () => {
    const { asker } = world((question, signal) =>
      question.carrier === 'fulmar' ? forever(question, signal) : Promise.resolve(sound(question)),
    );
    const answers = asker.ask([
      { question: makeQuestion({ key: 'a' }), timeoutMs: 500 },
      { question: makeQuestion({ key: 'b', carrier: 'gannet' }), timeoutMs: 9_000 },
    ]);
    await settle(500);
    expect((await answers).map(({ ok }) => ok)).toEqual([false, true]);
  });
});

describe('the stand-ins in this process', () => {
  const answerWith = async (trouble: string): Promise<string> => {
    const troubles = new Troubles();
    troubles.set(readTroubles(trouble));
    const answer = askerHere(troubles).ask(asked());
    await jest.advanceTimersByTimeAsync(2_000);
    return failure(answer);
  };

  test.each([
    ['', 'answered'],
    ['fulmar=slow', 'timed-out'],
    ['fulmar=unreachable', 'unreachable'],
    ['fulmar=refusing', 'refused'],
    ['fulmar=rubbish', 'malformed'],
    ['gannet=rubbish, what=ever, =', 'answered'],
  ])('told “%s”, come to “%s”', async (trouble, outcome) => {
    expect(await answerWith(trouble)).toBe(outcome);
  });

  test('are in trouble once, where that is said', () => {
    const troubles = new Troubles();
    troubles.set([{ carrier: 'fulmar', trouble: 'rubbish', lasts: 'once' }]);
    expect([troubles.meet('fulmar'), troubles.meet('fulmar')]).toEqual(['rubbish', null]);
  });
});

describe('answers that are shared', () => {
  const store = (): SharedAnswers & { kept: Map<string, unknown> } => {
    const kept = new Map<string, unknown>();
    return {
      kept,
      find: (question) => Promise.resolve(kept.get(JSON.stringify(question)) ?? null),
      keep: async (question, answer) => void kept.set(JSON.stringify(question), answer),
    };
  };

  test('are used by another asker without asking, and no longer than they are kept there', async () => {
    const shared = store();
    const [one, other] = [world(async (question) => sound(question), shared), world(forever, shared)];
    await one.asker.ask(asked());
    expect(await other.asker.ask(asked())).toEqual([sound(makeQuestion())]);
    expect(other.sent).toEqual([]);
    expect(other.asker.known(makeQuestion())).toBeNull();
    shared.kept.clear();
    const again = other.asker.ask(asked());
    await settle(1_000);
    expect(await failure(again)).toBe('timed-out');
  });

  test('do not hold what may pass, such as a carrier that cannot be reached', async () => {
    const shared = store();
    const answers = world(() => Promise.reject(new Error('down')), shared).asker.ask(asked());
    await settle(1_000);
    expect(await failure(answers)).toBe('unreachable');
    expect(shared.kept.size).toBe(0);
  });

  test.each<[string, SharedAnswers['find']]>([
    ['fail', () => Promise.reject(new Error('away'))],
    ['are rubbish', () => Promise.resolve({ key: 'tern', ok: 'perhaps' })],
    ['are of another question', (question) => Promise.resolve({ ...sound(question), key: 'other' })],
    ['charge nothing', (question) => Promise.resolve(sound(question, 0))],
  ])('are done without where they %s', async (_, find) => {
    const broken: SharedAnswers = { find, keep: () => Promise.reject(new Error('away')) };
    const { asker, sent } = world(async (question) => sound(question), broken);
    expect(await asker.ask(asked())).toEqual([sound(makeQuestion())]);
    expect(sent).toHaveLength(1);
  });
});
