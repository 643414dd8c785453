import { makeAsker, type Asker, type SharedAnswers } from './asking.ts';
import { SLOW_MS, type Troubles } from './misbehaviour.ts';
import { carrierById } from './stand-ins.ts';
import type { CarrierQuestion } from '../core/model/carrier.ts';

const never = (signal: AbortSignal): Promise<never> =>
  new Promise((_, reject) => {
    const timer = setTimeout(() => reject(new Error('too slow')), SLOW_MS);
    signal.addEventListener('abort', () => {
      clearTimeout(timer);
      reject(new Error('stopped'));
    });
  });

/** One question to a stand-in in this process, with the trouble it meets. */
export const askHere =
  (troubles: Troubles) =>
  async (question: CarrierQuestion, signal: AbortSignal): Promise<unknown> => {
    const trouble = troubles.meet(question.carrier);
    if (trouble === 'slow') return never(signal);
    if (trouble === 'rubbish') return '<h1>Scheduled maintenance</h1>';
    if (trouble === 'refusing')
      return { key: question.key, ok: false, error: 'refused', text: 'the carrier takes no requests' };
    const carrier = carrierById(question.carrier);
    if (trouble === 'unreachable' || !carrier) throw new Error('not reached');
    return carrier.rate(question);
  };

/** An asker of the stand-ins in this process; answers are shared with others where there is a way. */
export const askerHere = (troubles: Troubles, shared?: SharedAnswers): Asker =>
  makeAsker({
    send: askHere(troubles),
    now: () => performance.now(),
    random: Math.random,
    ...(shared ? { shared } : {}),
  });
